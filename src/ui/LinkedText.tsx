import { StyleSheet } from 'react-native';
import { Text } from 'react-native-paper';
import { findLinks } from '@/core/jot/links';
import { usePalette } from './theme/theme';

/** A text in which web addresses can be followed, in another tab that knows nothing of this one. */
export function LinkedText({ children }: { children: string }) {
  const { accent } = usePalette();
  return (
    <Text style={styles.text} selectable>
      {findLinks(children).map(({ text, link }, i) =>
        link === null ? (
          text
        ) : (
          <Text
            key={i}
            {...{ href: link, hrefAttrs: { target: '_blank', rel: 'noopener noreferrer' } }}
            role="link"
            style={{ color: accent, textDecorationLine: 'underline' }}
          >
            {text}
          </Text>
        ),
      )}
    </Text>
  );
}

const styles = StyleSheet.create({
  text: { flex: 1, minWidth: 0, overflowWrap: 'anywhere' as never } as object,
});
