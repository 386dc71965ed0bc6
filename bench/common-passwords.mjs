// Makes config/common-passwords.txt anew: short digests of the commonest passwords, from the list of @zxcvbn-ts/language-common (MIT).
// Install that package beside it first; the product itself needs only what is made.
import { dictionary } from '@zxcvbn-ts/language-common';
import { createHash } from 'node:crypto';
import { writeFileSync } from 'node:fs';
const all = dictionary['passwords-common'].map((x) => x.toLowerCase());
const long = all.filter((x) => x.length >= 12);
const short = all.filter((x) => x.length >= 4 && x.length < 12).slice(0, 10000);
const h = [...new Set([...long, ...short])].map((x) => createHash('sha256').update(x).digest('hex').slice(0, 12)).sort();
writeFileSync(new URL('../config/common-passwords.txt', import.meta.url), h.join('\n') + '\n');
console.log(h.length, long.length);
