import type { ReactNode } from 'react';
import { useSignedOut } from '../api/me';
import { lazyPart } from '../shell/lazy-part';

// Loaded where somebody has to sign in.
const SignIn = lazyPart('sign in', async () => (await import('./sign-in')).SignIn);

/** The pages, once the server knows the user. */
export function Gate({ children }: { children: ReactNode }) {
  return useSignedOut() ? <SignIn /> : children;
}
