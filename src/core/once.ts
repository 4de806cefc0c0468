/**
 * A function that works each answer out once and tells it again for as long as its last argument lives: a catalogue or the
 * evidence of a survey, which do not change. What comes before it must belong to it.
 */
export function once<Args extends readonly [...unknown[], object], T>(work: (...args: Args) => T): (...args: Args) => T {
  const told = new WeakMap<object, { readonly is: T }>();
  return (...args) => {
    const last = args[args.length - 1] as object;
    let answer = told.get(last);
    if (!answer) told.set(last, (answer = { is: work(...args) }));
    return answer.is;
  };
}
