import { useEffect, useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { Icon } from '@/ui/icons/Icon';
import { usePalette } from '@/ui/theme/theme';

/** Where files are dropped, or chosen by a press. */
export function FileDrop({ onFiles }: { onFiles(files: File[]): void }) {
  const palette = usePalette();
  const area = useRef<View>(null);
  const input = useRef<HTMLInputElement>(null);
  const [isOver, setOver] = useState(false);

  useEffect(() => {
    const element = area.current as unknown as HTMLElement;
    function onDragOver(event: DragEvent) {
      event.preventDefault();
      setOver(true);
    }
    const onDragLeave = () => setOver(false);
    function onDrop(event: DragEvent) {
      event.preventDefault();
      setOver(false);
      const files = [...(event.dataTransfer?.files ?? [])];
      if (files.length) onFiles(files);
    }
    element.addEventListener('dragover', onDragOver);
    element.addEventListener('dragleave', onDragLeave);
    element.addEventListener('drop', onDrop);
    return () => {
      element.removeEventListener('dragover', onDragOver);
      element.removeEventListener('dragleave', onDragLeave);
      element.removeEventListener('drop', onDrop);
    };
  }, [onFiles]);

  return (
    <View
      ref={area}
      style={[
        styles.area,
        {
          borderColor: isOver ? palette.accent : palette.dim,
          backgroundColor: isOver ? palette.accentWash : palette.sheet,
        },
      ]}
    >
      <Icon name="calendar-import" size={34} color={palette.accent} />
      <Text>Drop calendar files (.ics) or a table (.csv) here, or</Text>
      <Button mode="contained" onPress={() => input.current?.click()}>
        Choose files
      </Button>
      <input
        ref={input}
        type="file"
        multiple
        accept=".ics,.ical,.ifb,.csv,.tsv,text/calendar,text/csv"
        aria-label="Calendar file"
        tabIndex={-1}
        style={{ display: 'none' }}
        onChange={(event) => {
          const files = [...(event.target.files ?? [])];
          // The same file can be chosen again, for example once it is mended.
          event.target.value = '';
          if (files.length) onFiles(files);
        }}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  area: {
    borderWidth: 2,
    borderStyle: 'dashed',
    borderRadius: 12,
    padding: 28,
    alignItems: 'center',
    gap: 12,
  },
});
