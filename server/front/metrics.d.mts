import type { IncomingMessage, Server, ServerResponse } from 'node:http';

export type Metrics = {
  read: Record<string, () => number>;
  text: () => Promise<string>;
  type: string;
  count: (request: IncomingMessage, response: ServerResponse) => void;
};
type Asked = { method?: string; url?: string; headers: Record<string, string | string[] | undefined> };
export function makeMetrics(): Metrics;
export function kindOf(request: Asked): 'balls' | 'live' | 'sign-in' | 'api' | 'file' | 'action' | 'page';
export function mayRead(request: Pick<Asked, 'headers'>, token: string | undefined): boolean;
export function tell(metrics: Metrics, response: ServerResponse): Promise<void>;
export function onLoopback(metrics: Metrics, port: number): Server;
