import type { ReactNode } from 'react';

/** The drawings that ship, by the name that a business chooses. */
const drawings: Record<string, ReactNode> = {
  piano: (
    <>
      <path d="M35 8h262v6H35z" />
      <path d="M41 14v94M291 14v94" />
      <path d="M55 25h105v84M171 109V25h105v84M55 25v84M62 32h91v77M178 109V32h91v77M62 32v77" />
      <path d="M131 62h35v43h-35zM166 62h34v43h-34z" fill="var(--panel)" />
      <path d="M135 70h27M135 76h27M135 82h27M135 88h20M170 70h26M170 76h26M170 82h26M170 88h18" />
      <path d="M120 105h90" strokeWidth="3" />
      <path d="M20 108h292v16H20zM29 124h275v7H29z" />
      <path d="M36 131v64M49 131v64M285 131v64M298 131v64M36 195h13v7H36zM285 195h13v7h-13zM49 141h236M49 202h236" />
      <path d="M149 186h10v13h-10zM174 186h10v13h-10z" />
      <path d="M0 203h332" strokeWidth="4" />
      <path d="M0 209h332" />
      {Array.from({ length: 36 }, (_, i) => i)
        .filter((i) => ![2, 6].includes(i % 7))
        .map((i) => (
          <path key={i} d={`M${33 + i * 7.6} 108v10`} strokeWidth="3.4" />
        ))}
    </>
  ),
};

/** A line drawing of what the business works on; nothing where it has not chosen one. */
export function Drawing({ name, width }: { name: string; width: number }) {
  const drawing = drawings[name];
  if (!drawing) return null;
  return (
    <svg
      className="drawing"
      viewBox="-2 4 336 210"
      width={width}
      height={(width * 210) / 336}
      fill="none"
      stroke="currentColor"
      strokeWidth="1.6"
      aria-hidden="true"
    >
      {drawing}
    </svg>
  );
}
