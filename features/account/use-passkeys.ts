import { browserSupportsWebAuthn } from '@simplewebauthn/browser';
import { useReady } from '../form/use-ready';

/** Whether this browser can use passkeys here. @param host for which host devices keep them; null: for none */
export function usePasskeys(host: string | null): boolean {
  return useReady() && host !== null && window.location.hostname === host && browserSupportsWebAuthn();
}

/** What is said where the device gave no answer: it was cancelled, took too long, or there is no passkey. */
export function sayDeviceError(error: unknown): string {
  const { name } = error instanceof Error ? error : new Error();
  if (name === 'InvalidStateError') return 'This device already has a passkey for your account.';
  if (name === 'NotAllowedError' || name === 'AbortError') return 'Cancelled, or it took too long. Try again.';
  return 'That didn’t work on this device. Use your password.';
}
