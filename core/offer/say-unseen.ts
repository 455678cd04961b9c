import type { Offer, OfferApproach } from './offer.js';

const feet = (value: number) => value.toFixed(1);

/** What is said of a line's cost while nobody has seen it. */
export const notKnownYet = 'not known until the camera has run';

/** Everything not seen or not inspected, in words: unseen pipe never passes for sound. */
export function sayUnseen({
  lines,
  notSeen,
  notLookedAt,
}: Pick<Offer, 'lines' | 'notSeen' | 'notLookedAt'>): string[] {
  const nameOf = (id: string) =>
    lines.length > 1 ? `${lines.find((line) => line.id === id)?.name ?? id}, ` : '';
  return [
    ...notSeen.map(({ line, from_ft, to_ft }) => `${nameOf(line)}${feet(from_ft)} to ${feet(to_ft)} ft`),
    ...lines
      .filter(({ endReached }) => !endReached)
      .map(({ id, known }) => `${nameOf(id)}beyond ${feet(known.to_ft)} ft, where nobody reached its end`),
    ...notLookedAt,
  ];
}

/** What an option's price may become once everything is seen, in words. `cash` formats money. */
export function sayRange(
  { ifUnseenIs: { sound, failed } }: OfferApproach,
  offer: Offer,
  cash: (amount: number) => string,
): string {
  const low = sound === null ? 'an amount not known yet' : cash(sound);
  const high = failed === null ? 'work that cannot be done under these rules' : cash(failed);
  const range = sound === failed ? undefined : `between ${low} and ${high} once it is seen`;
  if (offer.lines.some(({ endReached }) => !endReached))
    return [range, 'nobody reached the end: the upper figure assumes that everything beyond has failed']
      .filter(Boolean)
      .join('; ');
  if (offer.notSeen.length === 0 && !offer.firstStep) return 'all was seen';
  return range ?? 'changes nothing';
}
