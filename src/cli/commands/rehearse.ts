import { rehearse } from '../../sources/run/rehearse';
import { gather, planOptions, planShape, planUsage, readArguments, RehearseArguments, UsageError } from '../arguments';
import { connectionFrom } from '../connection';
import { planOfFile } from '../planOfFile';

export const usage = `pawl rehearse URL FILE ${planUsage} [--most-mb N] --server URL`;
export const about =
  'Carries out, on a scratch copy made on another server, what would be scripted from a survey file: forward, proven, again, and back. Prints what it found as JSON.';

/**
 * Carries a plan out on a scratch copy made on another server, forward, proven, again, and back, and prints what
 * it found as JSON. Answers 0 when all of it holds, else 1. The copy is removed, also when somebody interrupts.
 */
export async function run(args: readonly string[]): Promise<number> {
  const asked = await readArguments(
    RehearseArguments,
    gather(args, '--only'),
    { ...planOptions, server: { type: 'string' }, 'most-mb': { type: 'string' } },
    ({ 'most-mb': most, ...values }, [url, file]) => ({
      ...planShape(values),
      url,
      file,
      ...(most !== undefined && { mostMegabytes: Number(most) }),
    }),
  );
  const { plan, survey } = await planOfFile(asked);
  const stop = new AbortController();
  for (const signal of ['SIGINT', 'SIGTERM'] as const) process.once(signal, () => stop.abort());
  let last = '';
  const { kind, settings, secret } = await connectionFrom(asked.url);
  const at = await connectionFrom(asked.server);
  const { scratch } = kind;
  if (!scratch) throw new UsageError('No copy can be made of such a source.');
  if (at.kind !== kind) throw new UsageError(`A copy of ${kind.title} is made on such a server, not on ${at.kind.title}.`);
  const refusal = await scratch.whyNot(survey.catalogue.engine.version);
  if (refusal !== null) throw new UsageError(refusal);
  const server = scratch.serverAt(at.settings, at.secret);
  const result = await rehearse(plan, (options) => scratch.make(settings, secret, server, options), {
    mostBytes: (asked.mostMegabytes ?? 2048) * 1_048_576,
    signal: stop.signal,
    onProgress: ({ parts }) => {
      const part = parts.at(-1);
      const line = part ? `${part.name}: ${part.state} ${part.says}` : '';
      if (line !== last) process.stderr.write(`${line}\n`);
      last = line;
    },
  });
  process.stdout.write(`${JSON.stringify({ ...result, problems: plan.problems }, null, 1)}\n`);
  return result.holds ? 0 : 1;
}
