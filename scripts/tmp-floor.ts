import { Agent, request } from 'node:http';
const url = process.env.BENCH_URL!;
const agent = new Agent({ keepAlive: true });
const call = (method: string, path: string, cookie = '', body?: unknown) =>
  new Promise<any>((resolve, reject) => {
    const sent = request(
      url + path,
      { method, agent, headers: { origin: url, ...(cookie ? { cookie } : {}), ...(body ? { 'content-type': 'application/json' } : {}) } },
      (r) => {
        let t = '';
        r.on('data', (p) => (t += p));
        r.on('end', () => resolve({ s: r.statusCode, c: r.headers['set-cookie'] ?? [], t }));
      },
    );
    sent.on('error', reject);
    sent.end(body ? JSON.stringify(body) : undefined);
  });
const time = async (name: string, run: () => Promise<any>) => {
  const l: number[] = [];
  let s;
  for (let i = 0; i < 200; i++) {
    const a = performance.now();
    s = (await run()).s;
    l.push(performance.now() - a);
  }
  l.sort((a, b) => a - b);
  console.log(name, s, l[100]!.toFixed(1), l[190]!.toFixed(1));
};
const si = await call('POST', '/api/auth/sign-in/email', '', { email: 'ines@lantern-hollow.example', password: 'seven-paces-out' });
const cookie = si.c.map((x: string) => x.split(';')[0]).join('; ');
await time('icon', () => call('GET', '/icon.svg'));
await time('shell', () => call('GET', '/shell/worker.js'));
await time('health', () => call('GET', '/api/health'));
await time('bad batch', () => call('POST', '/api/v1/shot-events', cookie, {}));
await time('no session', () =>
  call('POST', '/api/v1/shot-events', cookie, { sessionId: '01999999-0000-7000-8000-000000000001', events: [{}] }),
);
await time('signed out', () =>
  call('POST', '/api/v1/shot-events', '', { sessionId: '01999999-0000-7000-8000-000000000001', events: [{}] }),
);
agent.destroy();
