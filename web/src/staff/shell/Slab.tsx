import type { ReactNode } from 'react';
import { PlinthButton } from './Plinth';

export interface SlabBlock {
  label: string;
  shown?: string;
  act: () => void;
  main?: boolean;
  disabled?: boolean;
}

/** The inside of a dialog: heading, content, and a plinth of its own. */
export function Slab({
  title,
  titleId,
  children,
  blocks,
}: {
  title: string;
  titleId: string;
  children: ReactNode;
  blocks: SlabBlock[];
}) {
  return (
    <div className="slab">
      <div className="slab-body">
        <h2 id={titleId}>{title}</h2>
        {children}
      </div>
      <div className="slab-plinth">
        {blocks.map((block) => (
          <PlinthButton key={block.label} {...block} />
        ))}
      </div>
    </div>
  );
}
