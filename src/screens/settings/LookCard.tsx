import { useRef } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { sayBytes } from '@/core/files/opening';
import { ACCENTS, DENSITIES, TEXT_SIZES } from '@/core/model/look';
import type { Settings } from '@/core/model/others';
import { useEngine } from '@/data/engineContext';
import { useMessages } from '@/data/messages';
import { smallPicture, useTodayPicture } from '@/data/picture';
import { Card } from '@/ui/Card';
import { Choice } from '@/ui/Choice';
import { paletteOf } from '@/ui/theme/palette';
import { usePalette } from '@/ui/theme/theme';
import { describeError } from '@/core/userError';
import type { ChangeSettings } from './change';
import { AUTO } from './change';
import { capital } from '@/core/time/words';

interface Props {
  settings: Settings;
  onChange: ChangeSettings;
}

const ZOOMS = [0.8, 1, 1.25, 1.5, 2];
const percent = (zoom: number) => `${Math.round(zoom * 100)} %`;

const choices = <T extends string>(values: readonly T[]) =>
  values.map((value) => ({ value, label: capital(value) }));

/** The picture behind Today: taken from a file, made small, and given up again. */
function PictureChoice({ settings, onChange }: Props) {
  const { engine } = useEngine();
  const { complain } = useMessages();
  const palette = usePalette();
  const input = useRef<HTMLInputElement>(null);
  const url = useTodayPicture();
  const { todayPicture } = settings;

  async function take(file: File) {
    try {
      const kept = await engine!.files.keepFile(await smallPicture(file), Date.now());
      const { id, name, bytes } = kept;
      onChange({ todayPicture: { id, name, bytes } }, 'Changed the picture behind Today');
    } catch (error) {
      complain(describeError(error));
    }
  }

  return (
    <View role="group" aria-label="Picture behind Today" style={styles.picture}>
      <Text variant="bodySmall" style={{ color: palette.dim }}>
        Picture behind Today
      </Text>
      {todayPicture && (
        <View style={styles.line}>
          {url && <img src={url} alt="" className="picture-small" />}
          <Text
            style={styles.name}
          >{`${todayPicture.name}, kept in ${sayBytes(todayPicture.bytes)}`}</Text>
        </View>
      )}
      <View style={styles.line}>
        <Button mode="outlined" icon="image-outline" onPress={() => input.current?.click()}>
          {todayPicture ? 'Another picture' : 'Choose a picture'}
        </Button>
        {todayPicture && (
          <Button
            onPress={() => onChange({ todayPicture: null }, 'Took the picture behind Today away')}
          >
            No picture
          </Button>
        )}
      </View>
      <input
        ref={input}
        type="file"
        accept="image/*"
        aria-label="Picture file"
        tabIndex={-1}
        style={{ display: 'none' }}
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          if (file) void take(file);
          event.target.value = '';
        }}
      />
    </View>
  );
}

/** Colours and sizes. */
export function LookCard({ settings, onChange }: Props) {
  const { dark } = usePalette();
  return (
    <Card title="Look">
      <Choice
        name="Light"
        value={settings.theme}
        options={[AUTO, { value: 'light', label: 'Light' }, { value: 'dark', label: 'Dark' }]}
        onChoose={(theme) => onChange({ theme }, 'Changed the light')}
      />
      <Choice
        name="Accent"
        value={settings.accent}
        options={choices(ACCENTS).map((one) => ({
          ...one,
          colour: paletteOf(dark, one.value).accent,
        }))}
        onChoose={(accent) => onChange({ accent }, 'Changed the accent')}
      />
      <Choice
        name="Size of letters"
        value={settings.textSize}
        options={choices(TEXT_SIZES)}
        onChoose={(textSize) => onChange({ textSize }, 'Changed the size of letters')}
      />
      <Choice
        name="Room between lines"
        value={settings.density}
        options={choices(DENSITIES)}
        onChoose={(density) => onChange({ density }, 'Changed the room between lines')}
      />
      <Choice
        name="Size of the sheet"
        value={settings.zoom}
        options={ZOOMS.map((value) => ({ value, label: percent(value) }))}
        onChoose={(zoom) => onChange({ zoom }, 'Changed the size of the sheet')}
      />
      <Text variant="bodySmall">
        {`On the sheet two fingers, Ctrl with the wheel, or the keys “.” and “,” change it too.${
          ZOOMS.includes(settings.zoom) ? '' : ` It is at ${percent(settings.zoom)} now.`
        }`}
      </Text>
      <PictureChoice settings={settings} onChange={onChange} />
    </Card>
  );
}

const styles = StyleSheet.create({
  picture: { gap: 4 },
  line: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8 },
  name: { flex: 1, minWidth: 120 },
});
