import { test as base, type BrowserContext } from '@playwright/test';

export { expect } from '@playwright/test';

type Options = {
  /**
   * Whether games are forecast. Where a test is about something else the forecasts stay unanswered: a page that designs a game would
   * otherwise simulate it anew with every field, and the whole machine would wait for what nobody looks at.
   */
  forecasts: boolean;
};

/** Lets a context's pages ask for forecasts that are never answered. */
export async function withoutForecasts(context: BrowserContext): Promise<void> {
  await context.addInitScript(() => {
    // A worker that is started and does nothing.
    window.Worker = class extends EventTarget {
      postMessage() {}
      terminate() {}
    } as unknown as typeof Worker;
  });
}

/** Tests of the real interface, signed in as the demo's coach. */
export const test = base.extend<Options>({
  forecasts: [false, { option: true }],
  context: async ({ context, forecasts }, run) => {
    if (!forecasts) await withoutForecasts(context);
    await run(context);
  },
});
