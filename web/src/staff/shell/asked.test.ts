import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, it } from 'vitest';

const root = join(import.meta.dirname, '..');

it('keeps each key of what is asked in one hook, so that it has one shape', () => {
  const found = new Map<string, string[]>();
  for (const file of readdirSync(root, { recursive: true, encoding: 'utf8' })) {
    if (!/\.tsx?$/.test(file) || /\.test/.test(file)) continue;
    const text = readFileSync(join(root, file), 'utf8');
    for (const [, key = ''] of text.matchAll(/use(?:Infinite)?Query\(\{\s*queryKey: (queryKeys\.\w+|\[[^\]]*\])/g))
      found.set(key, [...(found.get(key) ?? []), file]);
  }
  expect(found.size).toBeGreaterThan(40);
  expect([...found].filter(([, files]) => files.length > 1)).toEqual([]);
});
