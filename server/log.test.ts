import { DrizzleQueryError } from 'drizzle-orm/errors';
import { bare } from './log';

const SECRETS = /Ottilie|ottilie@|select|s3cret|9M9dyL7QCMaOVBjMRzvCGRCIcm0N5cNi/;

test.each([
  [
    'a failed query with its cause',
    new DrizzleQueryError('select name from player where name = $1', ['Ottilie'], new Error('relation "ottilie" is not there')),
  ],
  [
    'a failed query without one',
    new DrizzleQueryError('select * from auth_session where token = $1', ['9M9dyL7QCMaOVBjMRzvCGRCIcm0N5cNi']),
  ],
  ['a value in quotes', new Error('invalid input syntax for type uuid: "Ottilie"')],
  ['an address', new Error('no account of ottilie@club.example here')],
  ['a token', new Error('token 9M9dyL7QCMaOVBjMRzvCGRCIcm0N5cNi is wrong')],
  ['several lines', new Error('it failed\nparams: s3cret')],
])('%s says nothing of whom it was about', (_, error) => {
  const { at: _where, ...said } = bare(error);
  expect(JSON.stringify(said)).not.toMatch(SECRETS);
  expect(said.message).toMatch(/\S/);
});

test('what went wrong is still said', () => {
  expect(bare(Object.assign(new Error('connection refused'), { code: 'ECONNREFUSED' }))).toMatchObject({
    type: 'Error',
    message: 'connection refused',
    code: 'ECONNREFUSED',
  });
  expect(bare('text')).toEqual({ type: 'unknown', message: 'not an error' });
});
