export default {
  testMatch: ['<rootDir>/{core,cli,server,web,demo,docs,bench}/**/*.test.ts'],
  transform: {
    '^.+\\.[tjm]+sx?$': [
      '@swc/jest',
      {
        jsc: {
          parser: { syntax: 'typescript', tsx: true },
          target: 'es2022',
          transform: { react: { runtime: 'automatic' } },
        },
      },
    ],
  },
  // These ship ES modules only; swc turns them into what Jest loads.
  transformIgnorePatterns: [
    'node_modules/(?!(@noble/hashes|hono|@hono|htmlparser2|domhandler|domutils|dom-serializer|domelementtype|entities)/)',
  ],
  testEnvironment: 'node',
};
