/** A reason to stop that a person can act on: shown as one sentence, without a stack. */
export class Stop extends Error {}

export function say(line) {
  process.stdout.write(`${line}\n`);
}

/** Runs a script to its end; a `Stop` becomes one sentence and exit status 1. */
export async function main(run) {
  try {
    await run();
  } catch (error) {
    process.stderr.write(`${error instanceof Stop ? error.message : error.stack}\n`);
    process.exitCode = 1;
  }
}
