import 'server-only';
import { dictionary } from '@zxcvbn-ts/language-common';
import { PASSWORD_LEAST } from '@/core/people/account';

/** Passwords that are tried first: those of a public list that are long enough to get so far. */
const common = new Set(dictionary['passwords-common']!.filter((one) => one.length >= PASSWORD_LEAST).map((one) => one.toLowerCase()));

/** Whether a password is one of the most common, or one of these with a few signs behind it. */
export function isCommon(password: string): boolean {
  const plain = password.toLowerCase();
  return common.has(plain) || common.has(plain.replace(/[^a-z]+$/, '')) || new Set(plain).size < 4;
}
