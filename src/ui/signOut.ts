/** Ends the session; the sign-in page says whether that worked. */
export async function signOut(): Promise<void> {
  await fetch('/api/auth/sign-out', { method: 'POST', headers: { 'content-type': 'application/json' }, body: '{}' });
  location.assign('/sign-in');
}
