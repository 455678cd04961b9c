/** One accepted set of edits, by its sender's id, and the set it took back, if it did. */
export interface ChangeSet {
  readonly sent: string;
  readonly undoes?: string | null | undefined;
}

/**
 * What undo and redo would take back next: an undo is a set that takes another back, a redo is one that takes back
 * an undo. Anything new ends what could be redone. Sets oldest first, of one device.
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
