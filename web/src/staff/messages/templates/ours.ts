import { matchKeyBindingPress, parseKeybinding } from 'tinykeys';
import { keys, keysAreOff } from '../../keys';

const alsoWhileTyping = Object.values(keys)
  .map(({ binding }) => binding)
  .filter((binding) => /^(\$mod|Alt)\+/.test(binding))
  .flatMap((binding) => parseKeybinding(binding));

/** Whether a key is the product's own also where somebody types: an editor of texts leaves all of these alone. */
export function isOurs(event: KeyboardEvent): boolean {
  return !keysAreOff() && alsoWhileTyping.some((press) => matchKeyBindingPress(event, press));
}
