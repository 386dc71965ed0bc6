import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';

/** What a selector begins with: the class that it is about, or nothing where it is about an element. */
const first = (selector: string) => /^\.([a-z][a-z0-9-]*)/i.exec(selector.trim())?.[1];

/** The rooms that begin selectors with a class, by class; styles of one room stay when another is opened. */
function rooms(): Map<string, Set<string>> {
  const found = new Map<string, Set<string>>();
  for (const file of readdirSync('src/staff', { recursive: true, encoding: 'utf8' })) {
    if (!file.endsWith('.css')) continue;
    const room = file.split('/')[0] ?? '';
    const text = readFileSync(join('src/staff', file), 'utf8').replace(/\/\*[^]*?\*\//g, '');
    for (const [, selectors = ''] of text.matchAll(/(?:^|[}{;])([^{};]+)\{/g))
      for (const selector of selectors.split(',')) {
        const name = first(selector);
        if (name) found.set(name, (found.get(name) ?? new Set()).add(room));
      }
  }
  return found;
}

describe('classes', () => {
  it('belong to one room each: what another room styles would change it once both were looked at', () => {
    const twice = [...rooms()].filter(([, where]) => where.size > 1 && !where.has('shell'));
    expect(twice.map(([name, where]) => `${name}: ${[...where].join(', ')}`)).toEqual([]);
  });
});
