import type { Generator } from './made-up';
export function statements(_generator: Generator, _players: number, _seed: number): void {}
