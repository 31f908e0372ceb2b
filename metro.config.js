const { getDefaultConfig } = require('expo/metro-config');

const config = getDefaultConfig(__dirname);

/** Optional animation libraries that others ask for; the app does without their 150 KB. */
const REFUSED = /^react-native-(reanimated|worklets)(\/|$)/;

config.resolver.resolveRequest = (context, name, platform) =>
  REFUSED.test(name) ? { type: 'empty' } : context.resolveRequest(context, name, platform);

module.exports = config;
