import type { ComponentType, LazyExoticComponent } from 'react';
import type { Schema } from '../../shared/api';
import type { KeyName } from '../keys';

type Permission = Schema<'Permission'>;

/** A part of the office: its screens, each loaded when it is opened, and where it stands in the lintel. */
export interface Area {
  /** What somebody must be allowed to come in. */
  may: Permission;
  /** Its word in the lintel, and the key that leads there; none where it is reached otherwise. */
  word?: { to: string; label: string; key: KeyName };
  screens: { path: string; Screen: LazyExoticComponent<ComponentType>; may?: Permission }[];
}
