const { getDefaultConfig } = require('expo/metro-config');

const config = getDefaultConfig(__dirname);

/** Optional animation libraries that others ask for; the app does without their 150 KB. */
const REFUSED = /^react-native-(reanimated|worklets)(\/|$)/;

/** Zod's words in some fifty languages, 65 KB; the app says in its own what does not fit. */
const isZodsWords = (context, name) =>
  name.endsWith('locales/index.js') && /\/node_modules\/zod\//.test(context.originModulePath);

/** What Zod makes of JSON schemas, of which the app reads none. */
const isZodsSchemas = (context, name) =>
  name.endsWith('/from-json-schema.js') && /\/node_modules\/zod\//.test(context.originModulePath);

config.resolver.resolveRequest = (context, name, platform) =>
  REFUSED.test(name) || isZodsWords(context, name) || isZodsSchemas(context, name)
    ? { type: 'empty' }
    : context.resolveRequest(context, name, platform);

module.exports = config;
