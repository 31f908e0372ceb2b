import { themeOf } from './theme';

test('text of every kind, and of none, is as much larger as letters are chosen to be', () => {
  const usual = themeOf(false, 'spruce', 1).fonts;
  const large = themeOf(false, 'spruce', 1.5).fonts;
  const sizes = (fonts: object) =>
    Object.values(fonts as Record<string, { fontSize?: number }>).map(({ fontSize }) => fontSize);
  expect(sizes(usual)).not.toContain(undefined);
  expect(sizes(large)).toEqual(sizes(usual).map((size) => size! * 1.5));
});
