interface Fault {
  readonly path: (string | number)[];
  readonly code: string;
  readonly message: string;
}

const deepest = 40;

/**
 * Where input holds what no database column can keep, in any field: the NUL character, half of a character (a lone surrogate), or lists within
 * lists without end. Loops and does not recurse, so that depth can't exhaust the stack.
 */
export function unkeepable(input: unknown): Fault | undefined {
  const open: { value: unknown; path: (string | number)[] }[] = [{ value: input, path: [] }];
  for (let next = open.pop(); next; next = open.pop()) {
    const { value, path } = next;
    if (path.length > deepest) return { path: path.slice(0, 5), code: 'too-deep', message: `At most ${deepest} levels of lists in lists.` };
    if (typeof value === 'string' && !isKeepable(value)) return badLetter(path);
    if (typeof value !== 'object' || value === null) continue;
    for (const [key, one] of Object.entries(value)) {
      if (!isKeepable(key)) return badLetter(path);
      open.push({ value: one, path: [...path, Array.isArray(value) ? Number(key) : key] });
    }
  }
  return undefined;
}

const isKeepable = (text: string) => !text.includes('\0') && text.isWellFormed();
const badLetter = (path: (string | number)[]): Fault => ({
  path,
  code: 'letters',
  message: 'This holds a character that can not be kept. Type it again.',
});
