/** What people call somebody: the first of their names. “The Owner” and “Dr Vell” are called that. */
export function firstName(name: string): string {
  const [first = '', ...more] = name.trim().split(/\s+/);
  return more.length > 0 && /^(the|a|an|mr|mrs|ms|mx|dr)\.?$/i.test(first) ? name.trim() : first;
}
