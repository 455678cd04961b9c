import { runName } from '../job/run-words.js';
import type { Grade } from '../job/vocabulary.js';
import { sayWhat } from '../speech/say.js';
import type { ScopedLine } from '../solve/solution.js';

/** A finding that can be shown to the customer: its photos, and its time in the video. */
export interface Proof {
  readonly line: string;
  readonly finding: string;
  readonly what: string;
  readonly at_ft: number;
  readonly grade: Grade;
  readonly photos: readonly string[];
  readonly video: { readonly name: string; readonly at_s: number } | undefined;
}

/** What can be shown of a line's findings, worst first, then from upstream. */
export function proofOf({ model, condition }: ScopedLine): Proof[] {
  const proof = condition.findings.flatMap((finding): Proof[] => {
    const { entry, run, from_ft } = finding.placed;
    const clip = run.video?.find(({ id }) => id === entry.clip) ?? run.video?.[0];
    const video =
      entry.video_s === undefined ? undefined : { name: clip?.name ?? runName(run), at_s: entry.video_s };
    const photos = entry.photos ?? [];
    if (finding.grade === 0 || (photos.length === 0 && !video)) return [];
    return [
      {
        line: model.line.id,
        finding: finding.id,
        what: sayWhat(entry),
        at_ft: from_ft,
        grade: finding.grade,
        photos,
        video,
      },
    ];
  });
  return proof.sort((a, b) => b.grade - a.grade || a.at_ft - b.at_ft);
}
