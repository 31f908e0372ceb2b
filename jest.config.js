/** Our own paths, and one that Jest's reading of the package's exports misses. */
const MODULES = {
  '^@/(.*)$': '<rootDir>/src/$1',
};

/** The core and the engine run in plain Node; components run as they do on the web. */
module.exports = {
  testTimeout: 60_000,
  projects: [
    {
      displayName: 'core',
      testEnvironment: 'node',
      moduleNameMapper: MODULES,
      setupFiles: ['<rootDir>/src/core/testing/properties.ts'],
      testMatch: ['<rootDir>/{src/core,src/engine,server,demo,scripts}/**/*.test.ts'],
      transform: { '\\.[jt]sx?$': ['babel-jest', { presets: ['babel-preset-expo'] }] },
      transformIgnorePatterns: [
        '/node_modules/(?!(@noble|temporal-|nanoid|ical\\.js|@react-native-async-storage|idb))',
      ],
    },
    {
      displayName: 'components',
      preset: 'jest-expo/web',
      testMatch: ['<rootDir>/src/{ui,features,screens,data}/**/*.test.{ts,tsx}'],
      setupFilesAfterEnv: ['<rootDir>/src/ui/testing/setup.ts'],
      moduleNameMapper: MODULES,
      // Those of the core have other names here, and would be taken for left over, which fails a run.
      modulePathIgnorePatterns: ['<rootDir>/src/core/.*/__snapshots__'],
      // Packages that ship as modules of the newer kind.
      transformIgnorePatterns: [
        '/node_modules/(?!(.*/)?(react-native|@react-native|expo|@expo|temporal-|color|nanoid|comlink|@noble))',
      ],
    },
  ],
};
