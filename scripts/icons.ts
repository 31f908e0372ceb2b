/** Writes src/ui/icons/paths.ts: the outlines of the icons that the app uses, out of @mdi/svg. */
import { readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';

const NAMES = [
  'alert-outline',
  'arrow-left',
  'calendar',
  'calendar-export',
  'calendar-import',
  'calendar-text',
  'check',
  'chevron-down',
  'chevron-left',
  'chevron-right',
  'chevron-up',
  'clock-outline',
  'close',
  'close-circle-outline',
  'cog-outline',
  'content-copy',
  'delete-outline',
  'dots-vertical',
  'earth',
  'eye-off-outline',
  'eye-outline',
  'file-outline',
  'home-outline',
  'keyboard-outline',
  'layers-outline',
  'link-variant',
  'lock-outline',
  'magnify',
  'map-marker-outline',
  'menu-down',
  'menu-up',
  'pencil',
  'pencil-outline',
  'plus',
  'redo',
  'repeat',
  'restore',
  'swap-horizontal',
  'text',
  'tools',
  'trash-can-outline',
  'undo',
  'view-agenda-outline',
];

const folder = path.join(__dirname, '..', 'node_modules', '@mdi', 'svg', 'svg');
const lines = NAMES.map((name) => {
  const svg = readFileSync(path.join(folder, `${name}.svg`), 'utf8');
  const outline = / d="([^"]+)"/.exec(svg)?.[1];
  if (!outline) throw new Error(`${name}.svg has no outline.`);
  return `  '${name}':\n    '${outline}',`;
});
const text = `/** Outlines from Material Design Icons (Apache 2.0); written by \`npm run icons\`. */
export const ICON_PATHS: Record<string, string> = {
${lines.join('\n')}
};
`;
writeFileSync(path.join(__dirname, '..', 'src', 'ui', 'icons', 'paths.ts'), text);
