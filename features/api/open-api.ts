import * as z from 'zod';
import { SCOPE_WORDS } from '@/core/people/api-token';
import type { Endpoint } from './endpoint';
import { ENDPOINTS } from './endpoints';

/** The description of the programming interface (OpenAPI 3.1), made of the schemas by which it reads and answers. */
export function openApi(): Record<string, unknown> {
  const paths: Record<string, Record<string, unknown>> = {};
  for (const one of ENDPOINTS) (paths[`/api/v1${one.path}`] ??= {})[one.method.toLowerCase()] = operationOf(one);
  paths['/api/v1/archive'] = ARCHIVE;
  return {
    openapi: '3.1.0',
    info: {
      title: 'Inch Game',
      version: '1',
      description:
        'Lengths are in metres unless a field says another unit. Moments are in UTC. What is refused is answered with `{error}`, a sentence.',
    },
    security: [{ key: [] }],
    paths,
    components: {
      securitySchemes: {
        key: { type: 'http', scheme: 'bearer', description: `A key made in the settings, good for: ${scopes()}.` },
      },
    },
  };
}

const scopes = () =>
  Object.entries(SCOPE_WORDS)
    .map(([scope, words]) => `\`${scope}\` (${words})`)
    .join(', ');

const json = (schema: z.ZodType, io: 'input' | 'output') => ({ 'application/json': { schema: schemaOf(schema, io) } });
const REFUSED = { description: 'Refused, with a sentence.', ...{ content: json(z.object({ error: z.string() }), 'output') } };
const refusals = (...statuses: number[]) => Object.fromEntries(statuses.map((status) => [status, REFUSED]));

function schemaOf(schema: z.ZodType, io: 'input' | 'output'): Record<string, unknown> {
  const { $schema: _, ...described } = z.toJSONSchema(schema, { io, unrepresentable: 'any' }) as Record<string, unknown>;
  return described;
}

function operationOf({ path, scope, summary, query, body, answer }: Endpoint) {
  const { properties = {}, required = [] } = schemaOf(query, 'input') as {
    properties?: Record<string, { description?: string }>;
    required?: string[];
  };
  const inQuery = Object.entries(properties).map(([name, { description, ...schema }]) => ({
    ...{ name, in: 'query', required: required.includes(name), schema },
    ...(description ? { description } : {}),
  }));
  const inPath = path.includes('{id}') ? [{ name: 'id', in: 'path', required: true, schema: { type: 'string', format: 'uuid' } }] : [];
  return {
    summary,
    description: `Takes a key that is good for \`${scope}\`.`,
    ...(inPath.length + inQuery.length > 0 ? { parameters: [...inPath, ...inQuery] } : {}),
    ...(body ? { requestBody: { required: true, content: json(body, 'input') } } : {}),
    responses: { 200: { description: 'Done.', content: json(answer, 'output') }, ...refusals(400, 401, 403, 404, 409, 429) },
  };
}

const ZIP = { 'application/zip': { schema: { type: 'string', format: 'binary' } } };
/** What docs/archive.md describes. */
const ARCHIVE = {
  get: {
    summary: 'Everything of the academy as an archive.',
    description: 'Takes a key of the owner that is good for `archive`.',
    responses: { 200: { description: 'The archive.', content: ZIP }, ...refusals(401, 403, 429) },
  },
  post: {
    summary: 'Imports an archive: all of it or nothing.',
    description:
      'Takes a key of the owner that is good for `archive`. The answer comes in lines of JSON while it is taken in; the last says `done`, or `error` and why.',
    requestBody: { required: true, content: ZIP },
    responses: {
      200: { description: 'What becomes of it.', content: { 'application/x-ndjson': { schema: { type: 'string' } } } },
      ...refusals(400, 401, 403, 413, 429),
    },
  },
};
