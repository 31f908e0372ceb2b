module.exports = (api) => {
  api.cache(true);
  return {
    presets: [['babel-preset-expo', { reanimated: false, worklets: false }]],
    // Jest's modules are of the older kind; what is imported when it is needed becomes so too.
    env: { test: { plugins: ['@babel/plugin-transform-dynamic-import'] } },
  };
};
