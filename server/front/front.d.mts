import type { IncomingMessage, ServerResponse } from 'node:http';

type Headers = Record<string, string | string[] | undefined>;
type Wrong = [status: number, sentence: string];
export const SENDER: 'x-inch-sender';
export function makeSenderOf(trusted?: string): (request: { headers: Headers; socket: { remoteAddress?: string } }) => string;
export function badRequest(request: { method?: string; url?: string; headers: Headers }, publicUrl: string): Wrong | null;
export function strictly(publicUrl: string): Record<string, string>;
export function ownOrigins(publicUrl: string): string[];
export function makeGate(most: number): (() => Promise<() => void>) & { waiting: () => number };
export function makeSmaller(
  shrunk: ReadonlySet<string>,
): (request: { url: string; headers: Headers }, response: { setHeader: (name: string, value: string) => unknown }) => void;
export function bringsBalls(request: { method?: string; url?: string }): boolean;
type Read = { body: Buffer; wrong?: undefined } | { wrong: Wrong };
export function bodyOf(request: AsyncIterable<Buffer>): Promise<Read>;
export function actionBody(request: AsyncIterable<Buffer>): Promise<Read>;
export function again(request: IncomingMessage, body: Buffer): IncomingMessage;
export function refusal(request: IncomingMessage, response: ServerResponse, wrong: Wrong): void;
