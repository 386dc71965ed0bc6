import type { ComponentType, LazyExoticComponent } from 'react';
import type { Schema } from '../../shared/api';
import type { KeyName } from '../keys';

type Permission = Schema<'Permission'>;

/** What an area shows on the page of a record that is not its own; it asks for its own list. */
export interface Section {
  /** Which pillar of the page it stands in. */
  pillar: 'facts' | 'work' | 'story' | 'papers';
  may?: Permission;
  Body: LazyExoticComponent<ComponentType<{ id: string; name: string }>>;
}

/** A part of the office: its screens, each loaded when it is opened, and where it stands in the lintel. */
export interface Area {
  /** What somebody must be allowed to come in. */
  may: Permission;
  /** Its word in the lintel; none where it is reached otherwise. */
  word?: {
    to: string;
    label: string;
    /** Not for those who may do this: they have it elsewhere. */ unless?: Permission;
  };
  /** Another key that leads somewhere in it. */
  way?: { to: string; key: KeyName };
  /** On a client's page, in the order of the areas. */
  onClient?: Section[];
  onProject?: Section[];
  screens: { path: string; Screen: LazyExoticComponent<ComponentType>; may?: Permission }[];
}
