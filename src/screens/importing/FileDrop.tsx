import { useEffect, useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { Icon } from '@/ui/icons/Icon';
import { usePalette } from '@/ui/theme/theme';

/** Where a file is dropped, or chosen by a press. */
export function FileDrop({ onFile }: { onFile(file: File): void }) {
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
      const file = event.dataTransfer?.files[0];
      if (file) onFile(file);
    }
    element.addEventListener('dragover', onDragOver);
    element.addEventListener('dragleave', onDragLeave);
    element.addEventListener('drop', onDrop);
    return () => {
      element.removeEventListener('dragover', onDragOver);
      element.removeEventListener('dragleave', onDragLeave);
      element.removeEventListener('drop', onDrop);
    };
  }, [onFile]);

  return (
    <View
      ref={area}
      style={[
        styles.area,
        {
          borderColor: isOver ? palette.green : palette.dim,
          backgroundColor: isOver ? palette.greenWash : palette.sheet,
        },
      ]}
    >
      <Icon name="calendar-import" size={34} color={palette.green} />
      <Text>Drop a calendar file (.ics) here, or</Text>
      <Button mode="contained" onPress={() => input.current?.click()}>
        Choose a file
      </Button>
      <input
        ref={input}
        type="file"
        accept=".ics,.ical,.ifb,text/calendar"
        aria-label="Calendar file"
        tabIndex={-1}
        style={{ display: 'none' }}
        onChange={(event) => {
          const file = event.target.files?.[0];
          // The same file can be chosen again, for example once it is mended.
          event.target.value = '';
          if (file) onFile(file);
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
