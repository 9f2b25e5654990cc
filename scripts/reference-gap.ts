import { besidePublished } from '@/core/made-up/published';
import { shippedReference } from '@/core/golf/reference';

/** Prints the reference beside published figures, and marks what lies farther apart than it may. */
console.log('what                                                published     ours      gap   within');
for (const { what, published, ours, within } of besidePublished(shippedReference)) {
  const gap = ours - published;
  const digits = within < 1 && published < 5 ? 3 : 1;
  console.log(
    `${what.padEnd(50)} ${published.toFixed(digits).padStart(10)} ${ours.toFixed(digits).padStart(8)} ${gap.toFixed(digits).padStart(8)} ${within.toFixed(digits).padStart(8)}${Math.abs(gap) > within ? '  ←' : ''}`,
  );
}
