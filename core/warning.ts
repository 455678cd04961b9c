/** Something a person must know: the rule that says so, where, and a plain sentence. */
export interface Warning {
  readonly rule: string;
  readonly line?: string;
  readonly at_ft?: number;
  readonly message: string;
}
