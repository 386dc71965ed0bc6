import { createContext, Suspense, useContext } from 'react';
import { ComingRows } from '../../shared/Notice';
import { Allowed } from './Allowed';
import type { Area, Section } from './area';

/** The areas, handed down: an area knows no other. */
export const AreasContext = createContext<Area[]>([]);

interface Props {
  of: 'onClient' | 'onProject';
  pillar: Section['pillar'];
  /** Of the record whose page it is. */
  id: string;
  name: string;
}

/** What the areas show on the page of a record, each with its own list. */
export function Sections({ of, pillar, id, name }: Props) {
  const areas = useContext(AreasContext);
  const sections = areas.flatMap((area) => (area[of] ?? []).map((one) => ({ may: area.may, ...one })));
  return sections
    .filter((one) => one.pillar === pillar)
    .map(({ may, Body }, i) => (
      <Allowed key={i} to={may}>
        <Suspense fallback={<ComingRows rows={2} />}>
          <Body id={id} name={name} />
        </Suspense>
      </Allowed>
    ));
}
