import { kindOf } from '../findings/kinds.js';
import type { EntryDraft } from './context.js';

/** Fields that may still be added to an entry: a size, a form, a reason. */
export function missingFrom(entry: EntryDraft): string[] {
  if (entry.open) return ['where it ends'];
  if (entry.kind === 'change' && !entry.upstream?.material) return ['what comes before it'];
  if (entry.kind !== 'finding') return [];
  const { grading } = kindOf(entry.finding);
  if (!grading) return [];
  if (entry.judged?.why === '') return ['why it is judged so'];
  const { measure } = grading;
  if (entry.size !== undefined || measure === 'always') return [];
  if (measure === 'form') return 'form' in entry && entry.form !== undefined ? [] : ['which form'];
  const measured =
    ('percent' in entry && entry.percent !== undefined) || ('inches' in entry && entry.inches !== undefined);
  if (measured) return [];
  return [measure === 'percent' ? 'how much, in %' : 'how much, in inches'];
}
