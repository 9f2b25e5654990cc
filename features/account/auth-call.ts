import { refused, type Refused } from '../form/result';

type AuthPath =
  | 'sign-in/email'
  | 'sign-up/email'
  | 'sign-out'
  | 'change-password'
  | 'own-name'
  | 'new-email'
  | 'request-password-reset'
  | 'reset-password'
  | 'confirm-email'
  | 'send-confirmation'
  | `passkey/${'new' | 'add' | 'ask' | 'sign-in' | 'remove'}`
  | `two-factor/${'enable' | 'disable' | 'generate-backup-codes' | 'verify'}`;

/**
 * Calls the sign-in service: over its own address, so that it knows who sends.
 * @param fields beside which field of the form a refusal stands, by its code; without one it is about the form as a whole
 */
export async function authCall(
  path: AuthPath,
  body: object,
  fields: Readonly<Record<string, string>> = {},
): Promise<{ ok: true; answer: unknown } | Refused> {
  const response = await fetch(`/api/auth/${path}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  }).catch(() => null);
  if (response?.ok) return { ok: true, answer: await response.json().catch(() => null) };
  if (!response) return refused('The server didn’t answer. Nothing is lost. Try again.');
  const { code = '', message } = (await response.json().catch(() => ({}))) as { code?: string; message?: string };
  return { ok: false, fields: { [fields[code] ?? '']: reason(response.status, code, message) } };
}

function reason(status: number, code: string, message: string | undefined): string {
  if (code === 'INVALID_EMAIL_OR_PASSWORD') return 'Wrong e-mail or password.';
  if (status === 403) return 'The program was started for another address (PUBLIC_URL): open it under that one.';
  if (status >= 500) return 'Something went wrong on our side. Nothing was lost. Try again.';
  return message ?? 'That didn’t work. Try again.';
}
