import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import type { Mark as MarkName } from '@/core/model/inks';
import { INKS } from '@/core/model/inks';
import type { PictureKind } from '@/features/help/topics';
import { Icon } from '@/ui/icons/Icon';
import { Mark } from '@/ui/Mark';
import { inkColours } from '@/ui/theme/palette';
import { usePalette } from '@/ui/theme/theme';

/** Something of the app in a small frame. */
function Piece({ children, isOn = false }: { children: string; isOn?: boolean }) {
  const { hairline, accentWash, sheet, accent } = usePalette();
  return (
    <View
      style={[
        styles.piece,
        { borderColor: isOn ? accent : hairline, backgroundColor: isOn ? accentWash : sheet },
      ]}
    >
      <Text variant="bodySmall">{children}</Text>
    </View>
  );
}

function Bar({
  ink,
  mark,
  title,
  look,
}: {
  ink: string;
  mark: MarkName;
  title: string;
  look: object;
}) {
  const palette = usePalette();
  const colours = inkColours(ink, palette);
  return (
    <View style={[styles.bar, { borderColor: colours.edge }, look]}>
      <Mark mark={mark} colour={colours.edge} size={12} />
      <Text variant="bodySmall">{title}</Text>
    </View>
  );
}

/** Parts of the app as a picture of what a topic is about; the text says the same. */
export function HelpPicture({ kind }: { kind: PictureKind }) {
  const palette = usePalette();
  const pieces = (all: readonly string[], on = 0) =>
    all.map((text, i) => (
      <Piece key={text} isOn={i === on}>
        {text}
      </Piece>
    ));
  const pictures: Record<PictureKind, React.ReactNode> = {
    add: pieces(['Add']),
    line: (
      <Text variant="bodySmall">
        Crate call{' '}
        {['Thu 14:00', 'for 45 min', 'at Quay 3'].map((part) => (
          <Text key={part} style={[styles.read, { color: palette.accent }]}>
            {`${part} `}
          </Text>
        ))}
      </Text>
    ),
    marks: (['square', 'circle', 'triangle', 'diamond', 'hexagon', 'ring'] as const).map(
      (mark, i) => (
        <Mark
          key={mark}
          mark={mark}
          size={16}
          colour={inkColours(Object.values(INKS)[i]!, palette).edge}
        />
      ),
    ),
    taking: (
      <>
        <Bar ink={INKS.Kelp} mark="square" title="09:00 Lamp test" look={styles.faint} />
        <Icon name="arrow-right" size={18} color={palette.dim} />
        <Bar ink={INKS.Kelp} mark="square" title="11:00 Lamp test" look={{}} />
      </>
    ),
    ruler: [14, 22, 10, 30, 18, 26, 12].map((height, i) => (
      <View
        key={i}
        style={[
          styles.week,
          { height, backgroundColor: i === 3 ? palette.accent : palette.accentWash },
        ]}
      />
    )),
    lens: pieces(['Workshop month', 'Clients']),
    scope: pieces(['This date', 'Later ones too', 'Every date']),
    answers: pieces(['Accept', 'Perhaps', 'Decline'], -1),
    keys: pieces(['/', '?', 'Ctrl + P'], -1),
    paper: pieces(['A4', 'A5', 'Letter']),
    copies: pieces(['Last copy: 10:20, read back']),
  };
  return (
    <View
      aria-hidden
      style={[styles.all, { borderColor: palette.hairline, backgroundColor: palette.sheet }]}
    >
      {pictures[kind]}
    </View>
  );
}

const styles = StyleSheet.create({
  all: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'flex-end',
    alignSelf: 'flex-start',
    gap: 8,
    borderWidth: 1,
    borderRadius: 8,
    padding: 10,
  },
  piece: { borderWidth: 1, borderRadius: 7, paddingHorizontal: 10, paddingVertical: 4 },
  bar: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 6,
    borderLeftWidth: 3,
    borderBottomWidth: 2,
    paddingHorizontal: 6,
  },
  faint: { opacity: 0.5 },
  read: { textDecorationLine: 'underline' },
  week: { width: 16, borderRadius: 3 },
});
