/** The core and the engine run in plain Node; components run as they do on the web. */
module.exports = {
  projects: [
    {
      displayName: 'core',
      testEnvironment: 'node',
      moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
      testMatch: ['<rootDir>/{src/core,src/engine,server,demo,scripts}/**/*.test.ts'],
      transform: { '\\.[jt]sx?$': ['babel-jest', { presets: ['babel-preset-expo'] }] },
      transformIgnorePatterns: [
        '/node_modules/(?!(temporal-|nanoid|chrono-node|ical\\.js|@react-native-async-storage|idb))',
      ],
    },
    {
      displayName: 'components',
      preset: 'jest-expo/web',
      testMatch: ['<rootDir>/src/{ui,screens,data}/**/*.test.tsx'],
      setupFilesAfterEnv: ['<rootDir>/src/ui/testing/setup.ts'],
      moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
      // Packages that ship as modules of the newer kind.
      transformIgnorePatterns: [
        '/node_modules/(?!(.*/)?(react-native|@react-native|expo|@expo|temporal-|color|nanoid|comlink|chrono-node))',
      ],
    },
  ],
};
