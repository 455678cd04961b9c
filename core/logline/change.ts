import type { Entry, Pipe } from '../job/schema.js';
import { sayPipe } from '../speech/say.js';
import type { EntryDraft, LogContext } from './context.js';
import type { Draft, NamedPipe } from './draft.js';

/** True where the head moves downstream, so what it meets next is toward the street. */
export const movesDownstream = (
  pass: 'out' | 'back',
  direction: 'downstream' | 'upstream' = 'downstream',
): boolean => (pass === 'out') === (direction === 'downstream');

/**
 * Which named pipe is on which side. The head sees one pipe, then the other, in its direction of travel; a single pipe
 * is what comes next, or with "ends" what came before. Words such as "toward the house" override the order.
 */
export function pipesOf(
  draft: Draft,
  fields: Readonly<Record<string, unknown>>,
  { pass, direction, pipesRun }: LogContext,
): { upstream?: Pipe; downstream?: Pipe } {
  const [first, second] = draft.pipes;
  const [before, next] = draft.changing || draft.endCall === 'end' ? [first, second] : [second, first];
  const along =
    pipesRun === 'downstream' ||
    movesDownstream((fields.pass as 'out' | 'back' | undefined) ?? pass, direction);
  let [upstream, downstream] = along !== (draft.swapped !== undefined) ? [before, next] : [next, before];
  if (upstream?.side === 'downstream' || downstream?.side === 'upstream')
    [upstream, downstream] = [downstream, upstream];
  const plain = (pipe: NamedPipe | undefined): Pipe | undefined => {
    if (!pipe) return undefined;
    const { side: _, ...rest } = pipe;
    return Object.keys(rest).length > 0 ? rest : undefined;
  };
  const [up, down] = [plain(upstream), plain(downstream)];
  return { ...(up ? { upstream: up } : {}), ...(down ? { downstream: down } : {}) };
}

/**
 * "24 to 40 clay": a stretch of pipe is two changes, one at each end, and none where the line begins. Any other change
 * stays as it is.
 */
export function endsOfPipe(
  entry: EntryDraft,
  { pipes }: Draft,
  { direction }: LogContext,
): [EntryDraft, ...EntryDraft[]] {
  if (pipes.some(({ side }) => side !== undefined)) return [entry];
  if (entry.kind !== 'change' || entry.to_ft === undefined || entry.reading_ft === undefined) return [entry];
  const { upstream, downstream, to_ft, reading_ft, ...rest } = entry;
  const pipe = upstream ?? downstream;
  if (!pipe || (upstream && downstream)) return [entry];
  const upstreamEnd_ft = direction === 'upstream' ? Math.max(reading_ft, to_ft) : Math.min(reading_ft, to_ft);
  const ends = [reading_ft, to_ft]
    .filter((at_ft) => at_ft > 0)
    .map((at_ft): EntryDraft => ({
      ...rest,
      reading_ft: at_ft,
      ...(at_ft === upstreamEnd_ft ? { downstream: pipe } : { upstream: pipe }),
    }));
  const [first, ...others] = ends;
  return first ? [first, ...others] : [entry];
}

/** "0 to 12 cast iron, 12 to 40 clay": where one stretch of pipe ends and the next begins is one change. */
export function oneChange(
  one: EntryDraft | undefined,
  other: EntryDraft | undefined,
): EntryDraft | undefined {
  if (one?.kind !== 'change' || other?.kind !== 'change' || one.reading_ft !== other.reading_ft)
    return undefined;
  if (one.reading_ft === undefined || one.pass !== other.pass) return undefined;
  if (!one.upstream !== !one.downstream && !other.upstream !== !other.downstream) {
    const [first, next] = [one.upstream ?? one.downstream, other.upstream ?? other.downstream];
    if (first?.material === next?.material) return undefined;
    // "clay from 12 to 50, then abs": two pipes cannot lie on one side, so the next is past the end of the first.
    return one.upstream ? { ...one, downstream: next } : { ...one, upstream: next };
  }
  if ((one.upstream && other.upstream) || (one.downstream && other.downstream)) return undefined;
  return { ...other, ...one };
}

/** "clay toward the house, fiber toward the street": sides stated explicitly. */
export function saySides(entry: Entry | EntryDraft): string {
  if (entry.kind !== 'change') return '';
  return [
    entry.upstream ? `${sayPipe(entry.upstream)} toward the house` : '',
    entry.downstream ? `${sayPipe(entry.downstream)} toward the street` : '',
  ]
    .filter(Boolean)
    .join(', ');
}

/** A change of pipe with what lies on either side of it the other way round. */
export function swapSides<
  Change extends Pick<Extract<Entry, { kind: 'change' }>, 'upstream' | 'downstream'>,
>({
  upstream,
  downstream,
  ...rest
}: Change): Omit<Change, 'upstream' | 'downstream'> & Pick<Change, 'upstream' | 'downstream'> {
  return {
    ...rest,
    ...(downstream ? { upstream: downstream } : {}),
    ...(upstream ? { downstream: upstream } : {}),
  };
}
