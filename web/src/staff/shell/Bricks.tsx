import './bricks.css';

/** Progress as bricks laid, with its words for those who do not see them. */
export function Bricks({ done, all }: { done: number; all: number }) {
  if (all === 0) return null;
  return (
    <span className="bricks" role="img" aria-label={`${done} of ${all} tasks done`}>
      {Array.from({ length: all }, (_, i) => (
        <i key={i} className={i < done ? 'laid' : undefined} />
      ))}
    </span>
  );
}
