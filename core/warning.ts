/** A warning: its rule, its place, and a plain sentence. */
export interface Warning {
  readonly rule: string;
  readonly line?: string;
  readonly at_ft?: number;
  readonly message: string;
}
