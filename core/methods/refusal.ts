/** Why a method may not be used: the rule, the place, and what would lift it. */
export interface Refusal {
  readonly rule: string;
  readonly why: string;
  readonly lift: string;
}
