/** One accepted set of edits: its sender's id, and the set it reverted, if any. */
export interface ChangeSet {
  readonly sent: string;
  readonly undoes?: string | null | undefined;
}

/**
 * The sets that undo and redo would revert next: an undo is a set that reverts another, a redo one that reverts an
 * undo. Any new edit clears the redo. Sets oldest first, from one device.
 */
export function undoState(sets: readonly ChangeSet[]): {
  undo: string | undefined;
  redo: string | undefined;
} {
  const undo: string[] = [];
  const redo: string[] = [];
  for (const { sent, undoes } of sets) {
    if (undoes !== undefined && undoes !== null && undoes === undo.at(-1)) {
      undo.pop();
      redo.push(sent);
    } else if (undoes !== undefined && undoes !== null && undoes === redo.at(-1)) {
      redo.pop();
      undo.push(sent);
    } else {
      undo.push(sent);
      redo.length = 0;
    }
  }
  return { undo: undo.at(-1), redo: redo.at(-1) };
}
