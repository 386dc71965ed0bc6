/** The stone figure that carries the product's name: also what an empty list shows. */
export function StoneFigure({ size }: { size: number }) {
  return (
    <svg viewBox="0 0 20 24" width={(size * 20) / 24} height={size} aria-hidden="true" fill="currentColor">
      <path d="M0 0h20v4H0z" />
      <path d="M1.2 4h3.6L7.4 10h5.2L15.2 4h3.6l-3.6 8.6h-.6L13.8 24H6.2L5.4 12.6h-.6z" />
      <circle cx="10" cy="7.2" r="2.4" />
    </svg>
  );
}
