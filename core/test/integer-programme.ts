import { methods } from '../job/vocabulary.js';
import { closingCost } from '../methods/entry.js';
import { methodBit } from '../methods/index.js';
import { isOld } from '../catalog/materials.js';
import { creditOf } from '../solve/carried.js';
import type { Prepared } from '../solve/prepare.js';
import type { Restriction } from '../solve/restrictions.js';

/**
 * The scope of a job as an integer programme in LP format, written apart from the search: a unit of flow along the
 * boundaries of each line, holes as open or closed over each piece between boundaries, pits and permits as events,
 * mobilisation and root joints as switches. Only the list of allowed actions and the cost of pieces are shared.
 */
export function integerProgramme(
  lines: readonly Prepared[],
  pins: readonly (readonly Restriction[])[],
): string {
  const cost = new Map<string, number>();
  const constraints: string[] = [];
  let constant = 0;
  const first = lines[0];
  if (!first) throw new Error('no lines');
  const { prices } = first.possible.track;
  const factor = (1 + prices.markup) * (1 + prices.tax);
  const use = (name: string, value: number) => {
    cost.set(name, (cost.get(name) ?? 0) + value);
    return name;
  };
  const sum = (names: readonly string[], sign = '+') => names.map((name) => ` ${sign} ${name}`).join('');
  const least = (left: string, right: number) => constraints.push(`${left} >= ${right}`);
  const most = (left: string, right: number) => constraints.push(`${left} <= ${right}`);
  const equal = (left: string, right: number) => constraints.push(`${left} = ${right}`);

  for (const method of methods) {
    if (method !== 'leave') use(`M_${methods.indexOf(method)}`, (prices.mobilisation[method] ?? 0) * factor);
  }

  lines.forEach((prepared, lineIndex) => {
    const { possible, carried, masks } = prepared;
    const { track, holes, edgesFrom, wayIn } = possible;
    const { boundaries, cells, breaks } = track;
    const last = boundaries.length - 1;
    const L = `l${lineIndex}_`;
    constant += carried.looks + carried.findings.reduce((total, each) => total + each.sum, 0);
    if (last <= 0) return;
    const fine = (b: number) => boundaries[b] ?? 0;
    const station = (b: number) => breaks[fine(b)] ?? 0;
    const permit = prices.permit_per_hole * factor;
    const allowedAt = (i: number) => {
      const cell = cells[i];
      return (pins[lineIndex] ?? []).reduce(
        (mask, pin) =>
          cell && Math.min(cell.to_ft, pin.to_ft) - Math.max(cell.from_ft, pin.from_ft) > 1e-6
            ? mask & pin.allowed
            : mask,
        masks[i] ?? 0,
      );
    };
    const splits = (pins[lineIndex] ?? [])
      .filter(({ split }) => split)
      .map(({ from_ft }) => {
        const away = boundaries.map((_, b) => Math.abs(station(b) - from_ft));
        return away.indexOf(Math.min(...away));
      });
    const cellsOf = (b: number, to: number) =>
      Array.from({ length: fine(to) - fine(b) }, (_, k) => fine(b) + k);

    const out: string[][] = boundaries.map(() => []);
    const into: string[][] = boundaries.map(() => []);
    const gapsOut: string[][] = boundaries.map(() => []);
    const gapsInto: string[][] = boundaries.map(() => []);
    const digOut: string[][] = boundaries.map(() => []);
    const digInto: string[][] = boundaries.map(() => []);
    const burstOut: string[][] = boundaries.map(() => []);
    const burstInto: string[][] = boundaries.map(() => []);
    const wants: string[][] = boundaries.map(() => []);
    /** Digs that need a hole, by the pieces they cover. */
    const over: string[][] = boundaries.map(() => []);
    const open = (b: number) => `${L}o_${b}`;
    const roots = use(`${L}R`, carried.yearlyCleaning);

    for (let b = 0; b < last; b++) {
      for (let to = b + 1; to <= last; to++) {
        const inside = cellsOf(b, to);
        const leave = inside.map(
          (i) => (allowedAt(i) & methodBit('leave')) !== 0 && cells[i]?.mustClean === false,
        );
        const clean = inside.map((i) => (allowedAt(i) & methodBit('clean')) !== 0);
        const possibleGap = inside.every((_, k) => leave[k] || clean[k]);
        const old = inside.some(
          (i) => isOld(cells[i]?.pipe.material ?? 'unknown') || cells[i]?.pipe.material === 'unknown',
        );
        const tooShort =
          track.school === 'repair' &&
          b > 0 &&
          to < last &&
          old &&
          station(to) - station(b) < track.rules.leastGap_ft - 1e-9;
        if (!possibleGap || tooShort) continue;
        const cleaned = inside.filter((_, k) => !leave[k]);
        const name = use(
          `${L}g_${b}_${to}`,
          factor *
            cleaned.reduce(
              (total, i) => total + (possible.cleaning[i + 1] ?? 0) - (possible.cleaning[i] ?? 0),
              0,
            ),
        );
        out[b]?.push(name);
        into[to]?.push(name);
        gapsOut[b]?.push(name);
        gapsInto[to]?.push(name);
        if (cleaned.length > 0) most(`${name} - M_${methods.indexOf('clean')}`, 0);
        if (inside.some((i) => cells[i]?.rootJoint)) most(`${name} - ${roots}`, 0);
      }
      edgesFrom[b]?.forEach((edge, k) => {
        if (cellsOf(b, edge.to).some((i) => (allowedAt(i) & methodBit(edge.method)) === 0)) return;
        if (splits.some((at) => at > b && at < edge.to)) return;
        const own = edge.cost * factor - creditOf(track, carried, edge);
        const liner = edge.method === 'line' || edge.method === 'short-line';
        const variants = liner && !edge.letIn ? ['u', 'd'] : ['x'];
        for (const variant of variants) {
          const name = use(`${L}${variant}_${b}_${edge.to}_${k}`, own);
          out[b]?.push(name);
          into[edge.to]?.push(name);
          most(`${name} - M_${methods.indexOf(edge.method)}`, 0);
          if (variant === 'u' && !wayIn.downstream[b]) wants[b]?.push(name);
          if (variant === 'd' && !wayIn.upstream[edge.to]) wants[edge.to]?.push(name);
          if (edge.method === 'burst') {
            burstOut[b]?.push(name);
            burstInto[edge.to]?.push(name);
            wants[b]?.push(name);
            wants[edge.to]?.push(name);
          } else if (!liner) {
            digOut[b]?.push(name);
            digInto[edge.to]?.push(name);
            if (edge.exposed) {
              // Exposed pipe has no hole, and none may be open over it.
              for (let piece = b; piece < edge.to; piece++) most(`${name} + ${open(piece)}`, 1);
            } else for (let piece = b; piece < edge.to; piece++) over[piece]?.push(name);
          }
        }
      });
    }

    equal(sum(out[0] ?? []), 1);
    equal(sum(into[last] ?? []), 1);
    for (let b = 1; b < last; b++) {
      if ((into[b]?.length ?? 0) + (out[b]?.length ?? 0) > 0)
        equal(`${sum(into[b] ?? [])}${sum(out[b] ?? [], '-')}`, 0);
      if (gapsInto[b]?.length && gapsOut[b]?.length)
        most(sum([...(gapsInto[b] ?? []), ...(gapsOut[b] ?? [])]), 1);
      if (digInto[b]?.length && digOut[b]?.length)
        most(sum([...(digInto[b] ?? []), ...(digOut[b] ?? [])]), 1);
    }

    for (let piece = 0; piece < last; piece++) {
      const [f, t] = [fine(piece), fine(piece + 1)];
      use(open(piece), factor * ((holes.through[t] ?? 0) - (holes.through[f] ?? 0)));
      const closed = (holes.closedThrough[t] ?? 0) > (holes.closedThrough[f] ?? 0);
      const digs = over[piece] ?? [];
      if (closed) most(`${open(piece)}${sum(digs, '-')}`, 0);
      if (digs.length > 0) least(`${open(piece)}${sum(digs, '-')}`, 0);
      const paid = use(`${L}p_${piece}`, 0);
      most(`${paid} - ${open(piece)}`, 0);
      if ((holes.publicThrough[t] ?? 0) - (holes.publicThrough[f] ?? 0) > 1e-6)
        least(`${paid} - ${open(piece)}`, 0);
      const rise = use(`${L}r_${piece}`, permit);
      least(piece === 0 ? `${rise} - ${paid}` : `${rise} - ${paid} + ${L}p_${piece - 1}`, 0);
      // One hole stays paid: where both pieces are open they are the same hole.
      if (piece > 0) least(`${paid} - ${L}p_${piece - 1} - ${open(piece)}`, -1);
    }

    for (let b = 0; b <= last; b++) {
      const opens: string[] = [];
      const closes: string[] = [];
      const alone: string[] = [];
      const digDown = digOut[b] ?? [];
      const digUp = digInto[b] ?? [];
      const wanted = wants[b] ?? [];
      const [before, after] = [b > 0 ? open(b - 1) : undefined, b < last ? open(b) : undefined];
      const mustBePaid = (event: string, piece: number) => least(`${L}p_${piece} - ${event}`, 0);
      if (digDown.length > 0) {
        const piece = holes.openDig(fine(b));
        const name = use(`${L}od_${b}`, piece.cost * factor);
        opens.push(name);
        most(`${name}${sum(digDown, '-')}`, 0);
        if (piece.public_ft > 1e-6) mustBePaid(name, b);
      }
      if (digUp.length > 0) {
        const piece = holes.closeDig(fine(b));
        const name = use(`${L}cd_${b}`, piece.cost * factor);
        closes.push(name);
        most(`${name}${sum(digUp, '-')}`, 0);
        if (piece.public_ft > 1e-6) mustBePaid(name, b - 1);
      }
      for (const kind of ['launch', 'burst'] as const) {
        const pit = holes.pit(fine(b), kind);
        if (!pit || wanted.length === 0) continue;
        const ends = burstInto[b] ?? [];
        const starts = burstOut[b] ?? [];
        if (kind === 'burst' && ends.length === 0) continue;
        for (const closing of kind === 'launch' ? [true, false] : [false]) {
          // A launch pit's own pipe is spared only where a burst brings its own.
          if (kind === 'launch' && !closing && starts.length === 0) continue;
          const pipe = closing ? closingCost(track, fine(b)) : 0;
          const tag = `${kind[0]}${closing ? 'c' : 'n'}_${b}`;
          const anyPublic = pit.open.public_ft + pit.close.public_ft > 1e-6;
          const lone = use(
            `${L}lp${tag}`,
            factor * (pipe + pit.open.cost + pit.close.cost) + (anyPublic ? permit : 0),
          );
          alone.push(lone);
          const events = [lone];
          if (after) {
            const name = use(`${L}op${tag}`, factor * (pipe + pit.open.cost + pit.widerDownstream));
            opens.push(name);
            events.push(name);
            if (pit.open.public_ft > 1e-6) mustBePaid(name, b);
          }
          if (before) {
            const name = use(`${L}cp${tag}`, factor * (pipe + pit.widerUpstream + pit.close.cost));
            closes.push(name);
            events.push(name);
            if (pit.close.public_ft > 1e-6) mustBePaid(name, b - 1);
          }
          for (const event of events) {
            most(`${event}${sum(wanted, '-')}`, 0);
            if (digDown.length + digUp.length > 0) most(`${event}${sum([...digDown, ...digUp])}`, 1);
            if (kind === 'burst') most(`${event}${sum(ends, '-')}`, 0);
            else if (ends.length > 0) most(`${event}${sum(ends)}`, 1);
            if (kind === 'launch' && !closing) most(`${event}${sum(starts, '-')}`, 0);
            if (kind === 'launch' && closing && starts.length > 0) most(`${event}${sum(starts)}`, 1);
          }
        }
      }
      const events = [...opens, ...closes, ...alone];
      if (events.length > 1) most(sum(events), 1);
      equal(
        `${after ? ` + ${after}` : ''}${before ? ` - ${before}` : ''}${sum(opens, '-')}${sum(closes)}`,
        0,
      );
      if (alone.length > 0) for (const piece of [before, after]) if (piece) most(`${piece}${sum(alone)}`, 1);
      if (wanted.length > 0) {
        const thru = before && after ? use(`${L}t_${b}`, 0) : undefined;
        if (thru) {
          most(`${thru} - ${before ?? ''}`, 0);
          most(`${thru} - ${after ?? ''}`, 0);
        }
        const served = [
          ...digDown,
          ...digUp,
          ...(thru ? [thru] : []),
          ...events.filter((name) => !/_?[oc]d_/.test(name)),
        ];
        for (const want of wanted) most(`${want}${sum(served, '-')}`, 0);
      }
    }
  });

  const names = [...cost.keys()];
  const objective = names.map((name) => {
    const value = cost.get(name) ?? 0;
    return ` ${value < 0 ? '-' : '+'} ${Math.abs(value).toFixed(9)} ${name}`;
  });
  return [
    'Minimize',
    ` obj:${objective.join('\n')}\n + ${constant.toFixed(9)} one`,
    'Subject To',
    ...constraints.map((each, i) => ` c${i}: ${each.trim().replace(/^\+ /, '')}`),
    ' cone: one = 1',
    'Binary',
    ` ${names.join('\n ')}`,
    'End',
  ].join('\n');
}
