const path = require('node:path');
const { getDefaultConfig } = require('expo/metro-config');

const config = getDefaultConfig(__dirname);

/** Optional animation libraries that others ask for; the app does without their 150 KB. */
const REFUSED = /^react-native-(reanimated|worklets)(\/|$)/;

/** Parts of packages that the app never calls, by what they are for; each is loaded by the package's index alone. */
const UNUSED = {
  // Words in some fifty languages, JSON schemas, and parsers that are compiled with `new Function`.
  zod: /\/(locales\/index|from-json-schema|to-json-schema|json-schema-(processors|generator)|compile)\.js$/,
  // Navigators of native apps, previews of links, and the map of a site: the app has one slot.
  'expo-router':
    /\/(bottom-tabs|NativeStackView|stack-utils|TabsClient|native-tabs|standard-navigation|HrefPreview|LinkWithPreview|Sitemap|Toast)(\/|$)/,
  // Packages of the older kind ask for all of it; what the app draws with is imported by its own path.
  'react-native-web':
    /\/(Animated(FlatList|SectionList)|exports\/(VirtualizedList|FlatList|SectionList|CheckBox|Touchable\w*|Picker|ProgressBar|RefreshControl|DrawerLayoutAndroid|Button|ImageBackground|KeyboardAvoidingView|LayoutAnimation|Modal|Share|Vibration|YellowBox|PanResponder|InputAccessoryView|Switch|Clipboard))$/,
};
/** Within that package what is left out is asked for by its index, and by its animations. */
const IN_USE = /react-native-web\/dist\/(?!index\.js$|vendor\/react-native\/Animated\/)/;
const isUnused = ({ originModulePath }, name) =>
  !IN_USE.test(originModulePath) &&
  Object.entries(UNUSED).some(
    ([owner, parts]) => originModulePath.includes(`/node_modules/${owner}/`) && parts.test(name),
  );

config.resolver.resolveRequest = (context, name, platform) =>
  REFUSED.test(name) || isUnused(context, name)
    ? { type: 'empty' }
    : context.resolveRequest(context, name, platform);

// A module runs when something of it is first needed, and not with all others before the first screen.
// Only the address of the page's script must be read while that runs: workers are started by it.
const AT_ONCE = path.join(__dirname, 'node_modules/expo/src/winter/ImportMetaRegistry.ts');
config.transformer.getTransformOptions = async () => ({
  transform: { inlineRequires: { blockList: { [AT_ONCE]: true } } },
});

module.exports = config;
