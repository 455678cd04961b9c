import type { Firm } from '../../core/job/firm.js';
import { sameJson } from '../../core/edits/merge.js';
import { defaultRules } from '../../core/job/rules.js';
import type { RulesOverride } from '../../core/job/rules-schema.js';
import type { Job } from '../../core/job/schema.js';
import { findingName, gradedKinds } from '../../core/findings/kinds.js';
import { plainWord, ruleFields, type RuleField } from '../../core/offer/labels.js';

/** A changed house rule: its value, the usual one, and who changed it. */
export interface OwnRule {
  readonly label: string;
  readonly now: string;
  readonly usually: string;
  readonly by: 'this job' | 'the company';
}

/**
 * Every rule changed by the company or this job, for the reason panel. The repair approach is shown everywhere anyway.
 */
export function ownRules(job: Job, firm: Firm): OwnRule[] {
  const said = (key: keyof RulesOverride) => {
    const by = job.rules?.[key] === undefined ? ('the company' as const) : ('this job' as const);
    return { by, value: job.rules?.[key] ?? firm.rules?.[key] };
  };
  const plainRules = ruleFields
    .flatMap(({ fields }) => fields)
    .filter(({ key }) => key !== 'school')
    .flatMap((field): OwnRule[] => {
      const { by, value } = said(field.key);
      const usual = defaultRules[field.key];
      if (value === undefined || sameJson(value, usual)) return [];
      return [{ label: field.label, now: worded(field, value), usually: worded(field, usual), by }];
    });
  const grades = gradedKinds().flatMap(({ id: kind, grading: usual }): OwnRule[] => {
    const own = { ...firm.rules?.findings?.[kind], ...job.rules?.findings?.[kind] };
    const by = job.rules?.findings?.[kind] ? ('this job' as const) : ('the company' as const);
    const name = findingName(kind);
    return [
      ...(own.bounds && usual.bounds && !sameJson(own.bounds, usual.bounds)
        ? [
            {
              label: `${name}, its grades`,
              now: own.bounds.join(' / '),
              usually: usual.bounds.join(' / '),
              by,
            },
          ]
        : []),
      ...(own.stopsLinerAt !== undefined && own.stopsLinerAt !== usual.stopsLinerAt
        ? [
            {
              label: `${name} stops a liner`,
              now: String(own.stopsLinerAt),
              usually: String(usual.stopsLinerAt ?? 'never'),
              by,
            },
          ]
        : []),
    ];
  });
  return [...plainRules, ...grades];
}

function worded(field: RuleField, value: unknown): string {
  const plain = plainWord(value);
  if ('words' in field) return field.words.find(([word]) => word === plain)?.[1] ?? plain;
  return `${plain} ${field.unit}`.trim();
}
