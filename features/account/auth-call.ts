/** Calls the sign-in service. Its limits on attempts hold here, because it is asked over its own address. */
export async function authCall(
  path: 'sign-in/email' | 'sign-up/email' | 'sign-out',
  body: object,
): Promise<{ ok: true } | { ok: false; message: string }> {
  const response = await fetch(`/api/auth/${path}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  }).catch(() => null);
  if (response?.ok) return { ok: true };
  return { ok: false, message: await reason(response) };
}

async function reason(response: Response | null): Promise<string> {
  if (!response) return 'The server did not answer. Nothing is lost; try again.';
  if (response.status === 429) return 'Too many attempts. Wait a minute, then try again.';
  const answer = (await response.json().catch(() => ({}))) as { code?: string; message?: string };
  if (answer.code === 'INVALID_EMAIL_OR_PASSWORD') return 'E-mail or password is not right.';
  if (answer.code?.startsWith('USER_ALREADY_EXISTS')) return 'There is an account with this e-mail already: sign in instead.';
  if (response.status === 403) return 'The program was started for another address (PUBLIC_URL): open it under that one.';
  if (response.status >= 500) return 'The server could not do this. Nothing is lost; try again.';
  return answer.message ?? 'This was refused.';
}
