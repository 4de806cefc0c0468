// What is computed of an object that never changes is computed once for each.

/** Remembers what `work` told, for as long as the last of the objects that it was asked of lives: by all of them, and by all else that it was asked. */
export function once<Args extends readonly [...unknown[], object], T>(work: (...args: Args) => T): (...args: Args) => T {
  const told = new WeakMap<object, { readonly args: Args; readonly is: T }[]>();
  return (...args) => {
    const last = args[args.length - 1] as object;
    const known = told.get(last) ?? [];
    let answer = known.find((one) => one.args.every((arg, at) => Object.is(arg, args[at])));
    if (!answer) {
      answer = { args, is: work(...args) };
      // Of one object a few are asked for at a time.
      told.set(last, [...known.slice(1 - mostKept), answer]);
    }
    return answer.is;
  };
}

const mostKept = 4;
