import nextJest from 'next/jest.js';

const createJestConfig = nextJest({ dir: './' });

/** Packages that ship as modules only and have to be transformed. */
const MODULES = [
  '@tanstack',
  'better-auth',
  '@better-auth',
  '@better-fetch',
  'better-call',
  '@noble',
  'jose',
  'nanostores',
  'rou3',
  'defu',
  'kysely',
  'd3-array',
  'd3-polygon',
  'internmap',
  'pure-rand',
  '@zxcvbn-ts',
].join('|');

async function project(name, testEnvironment, testMatch, more = {}) {
  const config = await createJestConfig({
    displayName: name,
    testEnvironment,
    testMatch,
    moduleNameMapper: { '^@/(.*)$': '<rootDir>/$1', '^server-only$': '<rootDir>/node_modules/next/dist/compiled/server-only/empty.js' },
    modulePathIgnorePatterns: ['<rootDir>/.next', '<rootDir>/.data'],
    // Tests that play games ask for it by the million, and a look at a global is slow in a test's sandbox.
    sandboxInjectedGlobals: ['Math'],
    ...more,
  })();
  return { ...config, transformIgnorePatterns: [`/node_modules/(?!(${MODULES})/)`, '^.+\\.module\\.(css|sass|scss)$'] };
}

const projects = [
  await project(
    'core',
    'node',
    [
      '<rootDir>/core/**/*.test.ts',
      '<rootDir>/db/*.test.ts',
      '<rootDir>/server/**/*.test.ts',
      '<rootDir>/scripts/**/*.test.ts',
      '<rootDir>/features/**/*.test.ts',
      '<rootDir>/cli/**/*.test.ts',
      '<rootDir>/workers/**/*.test.ts',
    ],
    { testPathIgnorePatterns: ['/node_modules/', '\\.db\\.test\\.ts$'] },
  ),
  await project('screens', 'jsdom', ['<rootDir>/features/**/*.test.tsx', '<rootDir>/ui/**/*.test.tsx'], {
    setupFilesAfterEnv: ['@testing-library/jest-dom'],
  }),
];
// With a database to write to (`npm test` brings one), the queries are tested too.
if (process.env.TEST_DATABASE_URL)
  projects.push(await project('db', 'node', ['<rootDir>/db/queries/*.test.ts', '<rootDir>/server/*.db.test.ts']));

const config = { projects, maxWorkers: 2 };
export default config;
