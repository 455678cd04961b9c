import { Note } from '../controls/text';

/** What a view shows until its scope is computed. */
export const WorkingOut = () => (
  <Note p="6" role="status">
    Working it out…
  </Note>
);
