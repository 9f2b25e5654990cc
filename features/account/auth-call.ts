/** Calls the sign-in service: over its own address, so that it knows who sends. */
export async function authCall(
  path: 'sign-in/email' | 'sign-up/email' | 'sign-out' | 'change-password',
  body: object,
): Promise<{ ok: true } | { ok: false; code: string; message: string }> {
  const response = await fetch(`/api/auth/${path}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  }).catch(() => null);
  if (response?.ok) return { ok: true };
  return { ok: false, ...(await reason(response)) };
}

async function reason(response: Response | null): Promise<{ code: string; message: string }> {
  if (!response) return { code: '', message: 'The server did not answer. Nothing is lost; try again.' };
  const { code = '', message } = (await response.json().catch(() => ({}))) as { code?: string; message?: string };
  const said = (text: string) => ({ code, message: text });
  if (code === 'INVALID_EMAIL_OR_PASSWORD') return said('E-mail or password is not right.');
  if (response.status === 403) return said('The program was started for another address (PUBLIC_URL): open it under that one.');
  if (response.status >= 500) return said('The server could not do this. Nothing is lost; try again.');
  return said(message ?? 'This was refused.');
}
