import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import type { RemindingSettings } from '@/core/model/others';
import { askForNotices, noticeState } from '@/data/notices';
import { Check } from '@/ui/Check';
import { usePalette } from '@/ui/theme/theme';

interface Props {
  notices: RemindingSettings['notices'];
  onChange(notices: RemindingSettings['notices']): void;
}

/** The browser's own notifications: asked for only after a press that says what they are for. */
export function NoticesPart({ notices, onChange }: Props) {
  const { dim } = usePalette();
  const [state, setState] = useState(noticeState);
  const [isAsking, setAsking] = useState(false);

  if (state === 'unknown')
    return <Text>This browser has no notifications: reminders come inside the app.</Text>;
  if (state === 'denied')
    return (
      <Text role="status">
        The browser was told not to show notifications of this app. To change that, open the
        settings of this site at the left of the address, and allow notifications there.
      </Text>
    );
  if (state === 'granted')
    return (
      <Check
        label="The browser’s notifications, too"
        isOn={notices === 'wanted'}
        onChange={(isOn) => onChange(isOn ? 'wanted' : 'notNow')}
      />
    );
  if (!isAsking)
    return (
      <View style={styles.part}>
        <Button mode="outlined" onPress={() => setAsking(true)}>
          Notifications of the browser…
        </Button>
        {notices === 'notNow' && (
          <Text variant="bodySmall" style={{ color: dim }}>
            You said “not now”.
          </Text>
        )}
      </View>
    );
  return (
    <View style={styles.part}>
      <Text>
        They show a reminder also while another program is in front, with Done and Again on it. The
        browser asks you next; it can be changed there at any time.
      </Text>
      <View style={styles.buttons}>
        <Button
          onPress={() => {
            setAsking(false);
            onChange('notNow');
          }}
        >
          Not now
        </Button>
        <Button
          mode="contained"
          onPress={() =>
            void askForNotices().then((answer) => {
              setState(answer);
              setAsking(false);
              onChange(answer === 'granted' ? 'wanted' : 'notNow');
            })
          }
        >
          Ask the browser
        </Button>
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  part: { gap: 6, alignItems: 'flex-start' },
  buttons: { flexDirection: 'row', gap: 8 },
});
