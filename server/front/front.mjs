import { IncomingMessage } from 'node:http';
import { isIPv6 } from 'node:net';

/** The header in which the program finds who sends; whatever a sender writes into it is thrown away. */
export const SENDER = 'x-inch-sender';

/**
 * Who sends a request: the address at the other end of the connection; where that is a proxy that is named in TRUST_PROXY, the last address in
 * X-Forwarded-For that is none of these: each proxy of a chain adds whom it heard. A header of anybody else counts for nothing.
 * @param trusted addresses with commas between them
 */
export function makeSenderOf(trusted = '') {
  const proxies = new Set(listed(trusted));
  return ({ socket, headers }) => {
    const near = plain(socket.remoteAddress ?? '');
    if (!proxies.has(near)) return network(near);
    const chain = listed(String(headers['x-forwarded-for'] ?? ''));
    return network(chain.findLast((one) => !proxies.has(one)) ?? chain[0] ?? near);
  };
}

const listed = (text) =>
  text
    .split(',')
    .map((one) => plain(one.trim()))
    .filter(Boolean);

/** An IPv4 address as such, however it is written. */
function plain(address) {
  return address.replace(/^::ffff:(?=\d+\.)/, '');
}

/** Whoever has an IPv6 address has millions of them: the first half names the network. */
function network(address) {
  if (!isIPv6(address)) return address;
  const [head, tail] = address.split('::');
  const [first, last] = [head, tail].map((part) => (part ? part.split(':') : []));
  const groups = tail === undefined ? first : [...first, ...Array(Math.max(0, 8 - first.length - last.length)).fill('0'), ...last];
  return `${groups.slice(0, 4).join(':')}::`;
}

/**
 * Why a request can be none of the program's own pages or phones: a status and a sentence; null where it can. What is written comes from the
 * program's own pages or carries a token, which no other page has; and to the programming interface it is JSON, which no other page's form can
 * send.
 * @param publicUrl the address under which browsers reach the program
 */
export function badRequest({ method = 'GET', url = '', headers }, publicUrl) {
  const path = url.split('?')[0];
  if (!path.startsWith('/') || /%00|[\u0000-\u001f\\]/i.test(path) || !isDecodable(path))
    return [400, 'This is no address of the program.'];
  const { origin } = headers;
  if (origin !== undefined && origin !== 'null' && (!/^https?:\/\/[^/\s@]+$/i.test(origin) || !URL.canParse(origin)))
    return [400, 'This Origin is none.'];
  if (/^multipart\//i.test(headers['content-type'] ?? '')) return [415, 'Nothing here takes a form of several parts.'];
  const action = headers['next-action'] !== undefined;
  if (!action && !path.startsWith('/api/')) return null;
  if (!action && (method === 'GET' || method === 'HEAD')) return null;
  // An archive is neither a form nor anything else that another page could send by itself.
  const sent = path === '/api/v1/archive' ? /^application\/zip\b/i : /^application\/json\b/i;
  if (!action && hasBody(headers) && !sent.test(headers['content-type'] ?? ''))
    return [415, path === '/api/v1/archive' ? 'Send this as application/zip.' : 'Send this as application/json.'];
  if (!action && headers.authorization !== undefined) return null;
  // A browser says one of the two of every page that writes, and no page can change what it says.
  const own = origin ? ownOrigins(publicUrl).includes(origin) : headers['sec-fetch-site'] === 'same-origin';
  return own ? null : [403, 'This can only be sent from the program’s own pages.'];
}

function hasBody(headers) {
  return headers['transfer-encoding'] !== undefined || Number(headers['content-length'] ?? 0) > 0;
}

/** What browsers are told with every answer: over https, to stay there. */
export function strictly(publicUrl) {
  return publicUrl.startsWith('https:') ? { 'Strict-Transport-Security': 'max-age=31536000' } : {};
}

function isDecodable(path) {
  try {
    decodeURIComponent(path);
    return true;
  } catch {
    return false;
  }
}

/** The addresses of the program's own pages: a browser on this machine may call it by either name. */
export function ownOrigins(publicUrl) {
  const own = URL.canParse(publicUrl) ? new URL(publicUrl).origin : '';
  return [own, own.replace('//127.0.0.1', '//localhost')];
}

/**
 * A gate that lets so many in at once; the others wait in the order in which they came. The framework answers fifty at once half as fast as
 * it answers ten and then ten again, and a page that somebody opens meanwhile waits for all of them.
 * @param most so many are inside at once
 * @returns lets one in: a promise of how to say that they are through, which may be said more than once; `waiting` says how many wait
 */
export function makeGate(most) {
  const waiting = [];
  let inside = 0;
  const enter = async () => {
    if (inside >= most) await new Promise((resolve) => waiting.push(resolve));
    else inside++;
    let left = false;
    return () => {
      if (left) return;
      left = true;
      // The place goes on to the next in the line.
      if (waiting.length > 0) waiting.shift()();
      else inside--;
    };
  };
  return Object.assign(enter, { waiting: () => waiting.length });
}

const TYPES = { js: 'application/javascript; charset=UTF-8', css: 'text/css; charset=UTF-8' };

/**
 * Asks for the smaller file in place of one that there is a smaller one of, where whoever asks can read it.
 * @param shrunk addresses of files beside which a smaller one ends in `.br`
 */
export function makeSmaller(shrunk) {
  return (request, response) => {
    const [path, query] = request.url.split('?');
    if (!shrunk.has(path)) return;
    response.setHeader('Vary', 'Accept-Encoding');
    if (!/\bbr\b(?!\s*;\s*q=0(\.0*)?\s*(,|$))/i.test(request.headers['accept-encoding'] ?? '')) return;
    request.url = query === undefined ? `${path}.br` : `${path}.br?${query}`;
    response.setHeader('Content-Encoding', 'br');
    response.setHeader('Content-Type', TYPES[path.slice(path.lastIndexOf('.') + 1)]);
  };
}

/** Whether a request brings balls. */
export function bringsBalls({ method, url = '' }) {
  return method === 'POST' && url.split('?')[0] === '/api/v1/shot-events';
}

const MOST_BYTES = 1_200_000;
/** How the framework writes what JSON can't: a date, nothing, numbers that are none, and a text that begins with its sign. */
const NOTATION = /^\$(?:\$|D\d{4}-\d\d-\d\dT[\d:.]+Z$|undefined$|NaN$|-?Infinity$|-0$)/;

/** Reads what is sent, as far as anybody may send. */
export async function bodyOf(request) {
  const parts = [];
  let size = 0;
  for await (const part of request) {
    size += part.length;
    if (size > MOST_BYTES) return { wrong: [413, 'This is too large.'] };
    parts.push(part);
  }
  return { body: Buffer.concat(parts) };
}

/** Reads what is sent to an action: a list, as the program's own pages write it. The framework would fail over anything else. */
export async function actionBody(request) {
  const read = await bodyOf(request);
  return read.wrong || isWritten(read.body.toString('utf8')) ? read : { wrong: [400, 'This can’t be read.'] };
}

function isWritten(text) {
  try {
    let plain = true;
    const list = JSON.parse(text, (_key, value) => {
      if (typeof value === 'string' && value.startsWith('$') && !NOTATION.test(value)) plain = false;
      return value;
    });
    return plain && Array.isArray(list);
  } catch {
    return false;
  }
}

/** A request whose body was read already, to be read again. */
export function again(request, body) {
  const copy = new IncomingMessage(request.socket);
  const { method, url, headers, rawHeaders, httpVersion, httpVersionMajor, httpVersionMinor } = request;
  Object.assign(copy, { method, url, headers, rawHeaders, httpVersion, httpVersionMajor, httpVersionMinor, complete: true });
  copy.push(body);
  copy.push(null);
  return copy;
}

/** Refuses a request, whose body nobody reads. */
export function refusal(request, response, [status, error]) {
  response.writeHead(status, { 'content-type': 'application/json', connection: 'close' });
  response.end(JSON.stringify({ error }));
  request.resume();
}
