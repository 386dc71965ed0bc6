import { account } from './account/area';
import { arrivals } from './arrivals/area';
import { clients } from './clients/area';
import { diary } from './diary/area';
import { files } from './files/area';
import { forms } from './forms/area';
import { inquiry } from './inquiry/area';
import { board, messages } from './messages/area';
import { projects } from './projects/area';
import { quotes } from './quotes/area';
import { rules } from './rules/area';
import { setup } from './setup/area';
import { tasks, today } from './today/area';
import type { Area } from './shell/area';

/** All areas, in the order of the lintel. Routes, words and keys come from here. */
export const areas: Area[] = [
  arrivals,
  today,
  tasks,
  inquiry,
  clients,
  projects,
  quotes,
  diary,
  files,
  messages,
  board,
  forms,
  rules,
  setup,
  account,
];
