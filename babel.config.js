module.exports = (api) => {
  api.cache(true);
  return {
    presets: [['babel-preset-expo', { reanimated: false, worklets: false }]],
    env: {
      // Only those components of Paper that are used.
      production: { plugins: ['react-native-paper/babel'] },
      // Jest's modules are of the older kind; what is imported when it is needed becomes so too.
      test: { plugins: ['@babel/plugin-transform-dynamic-import'] },
    },
  };
};
