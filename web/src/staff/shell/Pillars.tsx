import ButtonBase from '@mui/material/ButtonBase';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useEffect, useState, type ReactNode, type Ref } from 'react';
import { MarkShape } from '../../shared/Mark';
import { useKey } from '../keys';
import type { UndoBlock } from './changes';
import { Plinth, type PlinthBlock } from './Plinth';

interface Pillar {
  name: string;
  /** For the course of stones on a narrow screen. */
  tally?: ReactNode;
  choose?: boolean;
  sheet?: boolean;
  /** Where the pillar is a list that folds away on a middling screen. */
  folds?: boolean;
  width: string;
  wide?: string;
  middling?: string;
  content: ReactNode;
  blocks?: PlinthBlock[];
}

interface Props {
  title: string;
  pillars: Pillar[];
  head?: ReactNode;
  note?: ReactNode;
  /** On a narrow screen, the pillar in sight; kept by the screen when something in it should change it. */
  shown?: number;
  onShow?: (index: number) => void;
  over?: ReactNode;
  mainRef?: Ref<HTMLElement>;
  /** What undo means on this screen, where it is not the last act. */
  undo?: UndoBlock | undefined;
}

/** The pillars of a screen, each scrolling alone, on their plinth. Under 900 px one stands at a time. */
export function Pillars({ title, pillars, head, note, shown, onShow, over, mainRef, undo }: Props) {
  const narrow = useMediaQuery('(max-width: 899px)', { noSsr: true });
  const middling = useMediaQuery('(max-width: 1179px)', { noSsr: true });
  const wide = useMediaQuery('(min-width: 1500px)', { noSsr: true });
  const [own, setOwn] = useState(0);
  const [unfolded, setUnfolded] = useState(false);
  const at = Math.min(shown ?? own, pillars.length - 1);
  const show = onShow ?? setOwn;
  useEffect(() => {
    document.title = `${title} · Telamon`;
  }, [title]);
  const canFold = middling && !narrow && pillars.some((pillar) => pillar.folds);
  useKey('list', canFold ? () => setUnfolded((is) => !is) : narrow && pillars[0]?.folds ? () => show(0) : undefined);

  if (narrow) {
    return (
      <>
        <main id="main" className="pillars narrow" ref={mainRef} tabIndex={-1}>
          {head}
          {pillars.length > 1 && (
            <div className="stones" role="tablist" aria-label="Parts of this screen">
              {pillars.map((pillar, i) => (
                <ButtonBase
                  key={pillar.name}
                  role="tab"
                  aria-selected={i === at}
                  className="stone"
                  onClick={() => show(i)}
                >
                  <span>{pillar.name}</span>
                  <span className="stone-tally">
                    {pillar.choose && <MarkShape kind="choose" />} {pillar.tally}
                  </span>
                </ButtonBase>
              ))}
            </div>
          )}
          {pillars.map((pillar, i) => (
            <section
              key={pillar.name}
              aria-label={pillar.name}
              hidden={i !== at}
              className={pillar.sheet ? 'pillar sheet' : 'pillar'}
            >
              {pillar.content}
            </section>
          ))}
          {over}
        </main>
        <Plinth narrow blocks={pillars.map((pillar) => pillar.blocks ?? [])} note={note} undo={undo} />
      </>
    );
  }
  const standing = pillars.filter((pillar) => !(canFold && pillar.folds && !unfolded));
  const columns = standing
    .map((pillar) => (wide ? pillar.wide : middling ? pillar.middling : undefined) ?? pillar.width)
    .join(' ');
  const folded = pillars.length > standing.length;
  return (
    <>
      {head}
      <main id="main" className="pillars" style={{ gridTemplateColumns: columns }} ref={mainRef} tabIndex={-1}>
        {standing.map((pillar, i) => (
          <section
            key={pillar.name}
            aria-label={pillar.name}
            tabIndex={0}
            className={pillar.sheet ? 'pillar sheet' : 'pillar'}
          >
            {i === 0 && canFold && (
              <button type="button" className="fold-back" onClick={() => setUnfolded(!unfolded)}>
                {unfolded ? 'Fold the list' : 'Show the list'} <kbd aria-hidden="true">L</kbd>
              </button>
            )}
            {pillar.content}
          </section>
        ))}
        {over}
      </main>
      <div className="plinth-stand" style={{ gridTemplateColumns: columns }}>
        <Plinth
          narrow={false}
          blocks={standing.map((pillar, i) => [
            ...(i === 0 && folded ? pillars.filter((p) => !standing.includes(p)).flatMap((p) => p.blocks ?? []) : []),
            ...(pillar.blocks ?? []),
          ])}
          note={note}
          undo={undo}
        />
      </div>
    </>
  );
}
