import {
  createContext,
  createElement,
  useContext,
  useEffect,
  useLayoutEffect,
  useRef,
  useState,
  type ReactNode,
} from 'react';
import { tinykeys } from 'tinykeys';

/** Every key of the product. A letter means one thing everywhere. */
export const keys = {
  main: { binding: '$mod+Enter', shown: 'Ctrl Enter', words: 'the sea-coloured block: accept, finish, send' },
  undo: { binding: 'u', shown: 'U', words: 'undo the last change; Ctrl Z too' },
  redo: { binding: 'Shift+U', shown: '⇧U', words: 'do again what was undone; Ctrl Shift Z too' },
  next: { binding: 'ArrowDown', shown: '↓', words: 'next in the list' },
  previous: { binding: 'ArrowUp', shown: '↑', words: 'previous in the list' },
  aside: { binding: 'a', shown: 'A', words: 'set aside' },
  give: { binding: 'c', shown: 'C', words: 'give to a colleague' },
  putOff: { binding: 'h', shown: 'H', words: 'put off, and be reminded' },
  note: { binding: 'b', shown: 'B', words: 'note something beside it' },
  answered: { binding: 'y', shown: 'Y', words: 'say that you have answered' },
  choose: { binding: 'Space', shown: 'Space', words: 'choose several in the list' },
  list: { binding: 'l', shown: 'L', words: 'open or fold the list' },
  find: { binding: '/', shown: '/', words: 'find' },
  newTask: { binding: 't', shown: 'T', words: 'add a task' },
  tryIt: { binding: 'r', shown: 'R', words: 'try the form' },
  add: { binding: '+', shown: '+', words: 'add a question, or a task to a plan' },
  up: { binding: 'Alt+ArrowUp', shown: 'Alt ↑', words: 'move the question, task or step up' },
  down: { binding: 'Alt+ArrowDown', shown: 'Alt ↓', words: 'move the question, task or step down' },
  sooner: { binding: 'Alt+ArrowLeft', shown: 'Alt ←', words: 'a step of a follow-up sooner' },
  later: { binding: 'Alt+ArrowRight', shown: 'Alt →', words: 'a step of a follow-up later' },
  takeOut: { binding: 'Delete', shown: 'Del', words: 'remove the question, task or step; leave the line in focus out' },
  merge: { binding: 'm', shown: 'M', words: 'merge two clients' },
  apart: { binding: 'n', shown: 'N', words: 'say that two clients are not the same' },
  download: { binding: 'd', shown: 'D', words: 'download' },
  inquiry: { binding: 'i', shown: 'I', words: 'write down an inquiry that came by phone or at the desk' },
  newVisit: { binding: 'v', shown: 'V', words: 'place a visit' },
  dayBefore: { binding: '[', shown: '[', words: 'the day before' },
  dayAfter: { binding: ']', shown: ']', words: 'the day after' },
  weekBefore: { binding: 'Shift+{', shown: '⇧[', words: 'a week back' },
  weekAfter: { binding: 'Shift+}', shown: '⇧]', words: 'a week on' },
  offer: { binding: 'o', shown: 'O', words: 'keep the time for the client, and ask' },
  nextMissing: { binding: 'j', shown: 'J', words: 'the next time that is missing, or project that is late' },
  nextStage: { binding: 's', shown: 'S', words: 'move the project on to the next stage' },
  write: { binding: 'w', shown: 'W', words: 'write to a client, or to a room' },
  print: { binding: 'p', shown: 'P', words: 'print the day' },
  help: { binding: '?', shown: '?', words: 'all keys' },
  screens: { binding: '.', shown: '.', words: 'number the screens; a digit goes there' },
} as const;

/** Other ways to press the same. */
const twins: Partial<Record<KeyName, string[]>> = {
  add: ['Shift++'],
  undo: ['$mod+z'],
  redo: ['$mod+Shift+z'],
};

export const otherKeys = [
  { shown: '1 to 9, S, N, W', words: 'make the choice that shows this key' },
  { shown: 'E', words: 'edit the line or answer in focus' },
  { shown: 'Esc', words: 'close' },
] as const;

export type KeyName = keyof typeof keys;

const off = 'telamon.keys-off';

export function keysAreOff(): boolean {
  return localStorage.getItem(off) === 'yes';
}

export function turnKeys(on: boolean): void {
  if (on) localStorage.removeItem(off);
  else localStorage.setItem(off, 'yes');
}

function typing(event: KeyboardEvent): boolean {
  const target = event.target instanceof HTMLElement ? event.target : null;
  return target !== null && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName));
}

/** The panels that are open, the one that was opened last on top: only that one listens. */
let scopes: number[] = [];
let lastScope = 0;
const ScopeContext = createContext(0);

/** What stands in it has the keys for itself while it is there: a key never does two things. */
export function KeyScope({ children }: { children: ReactNode }) {
  const [id] = useState(() => ++lastScope);
  useLayoutEffect(() => {
    scopes = [...scopes, id];
    return () => {
      scopes = scopes.filter((one) => one !== id);
    };
  }, [id]);
  return createElement(ScopeContext, { value: id }, children);
}

function hasKeys(scope: number): boolean {
  return (scopes.at(-1) ?? 0) === scope;
}

/** Whether the place that this is called in has the keys, asked when one is pressed. */
export function useHasKeys(): () => boolean {
  const scope = useContext(ScopeContext);
  return () => hasKeys(scope);
}

/** Open editors, the innermost last: the main key is theirs. */
let editors: (() => void)[] = [];

/** While this is there, the main key means it, and nothing outside of it. */
export function useEditorKey(act: () => void): void {
  const latest = useRef(act);
  useEffect(() => {
    latest.current = act;
  });
  useEffect(() => {
    const mine = () => latest.current();
    editors = [...editors, mine];
    return () => {
      editors = editors.filter((one) => one !== mine);
    };
  }, []);
}

/** Where arrows and Space mean something of their own. */
function takesItself(event: KeyboardEvent, binding: string): boolean {
  const target = event.target instanceof Element ? event.target : null;
  if (target === null) return false;
  if (binding === 'Space') return target.closest('button, summary, [role=button], [role=tab], input, label') !== null;
  if (!binding.startsWith('Arrow')) return false;
  // A pillar that was gone to is scrolled; only the list walks.
  if (target.matches('section.pillar') && target.previousElementSibling !== null) return true;
  return target.closest('[role=menu], [role=listbox], [role=radiogroup], [role=tablist], [role=combobox]') !== null;
}

function listen(binding: string, act: () => void, whileTyping: boolean, scope: number): () => void {
  return tinykeys(window, {
    [binding]: (event: KeyboardEvent) => {
      if ((event.repeat && !binding.startsWith('Arrow')) || !hasKeys(scope) || takesItself(event, binding)) return;
      const dialogOpen = document.querySelector('[role="dialog"]') !== null;
      if (keysAreOff() || dialogOpen || (typing(event) && !whileTyping)) return;
      event.preventDefault();
      act();
    },
  });
}

/** Does something when a key of the table is pressed; not while somebody types, nor under a dialog. */
export function useKey(name: KeyName, act: (() => void) | undefined): void {
  const latest = useRef(act);
  useEffect(() => {
    latest.current = act;
  });
  const on = act !== undefined;
  const scope = useContext(ScopeContext);
  useEffect(() => {
    if (!on) return undefined;
    // Shift is part of how “?” is typed on most keyboards.
    const binding = name === 'help' ? 'Shift+?' : keys[name].binding;
    const act = () => {
      const editor = name === 'main' ? editors.at(-1) : undefined;
      if (editor) editor();
      else latest.current?.();
    };
    const stops = [
      listen(binding, act, name === 'main', scope),
      ...(twins[name] ?? []).map((twin) => listen(twin, act, false, scope)),
    ];
    return () => stops.forEach((stop) => stop());
  }, [name, on, scope]);
}

/** Does something when one of these letters or figures is pressed. */
export function useLetters(letters: string[], act: (letter: string) => void): void {
  const latest = useRef(act);
  useEffect(() => {
    latest.current = act;
  });
  const all = letters.join(' ');
  const scope = useContext(ScopeContext);
  useEffect(() => {
    const stops = all
      .split(' ')
      .filter(Boolean)
      .map((letter) => listen(letter.toLowerCase(), () => latest.current(letter), false, scope));
    return () => stops.forEach((stop) => stop());
  }, [all, scope]);
}
