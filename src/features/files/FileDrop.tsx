import { useEffect, useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { Icon } from '@/ui/icons/Icon';
import { usePalette } from '@/ui/theme/theme';

interface Props {
  /** What can be dropped there. */
  says: string;
  /** What its field is called, and which files it takes. */
  label: string;
  accept: string;
  icon: string;
  onFiles(files: File[]): void;
  /** Told of a text that was dropped. */
  onText?(text: string): void;
}

/** Where files are dropped, or chosen by a press. */
export function FileDrop({ says, label, accept, icon, onFiles, onText }: Props) {
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
      const text = event.dataTransfer?.getData('text/plain') ?? '';
      if (files.length) onFiles(files);
      else if (text) onText?.(text);
    }
    element.addEventListener('dragover', onDragOver);
    element.addEventListener('dragleave', onDragLeave);
    element.addEventListener('drop', onDrop);
    return () => {
      element.removeEventListener('dragover', onDragOver);
      element.removeEventListener('dragleave', onDragLeave);
      element.removeEventListener('drop', onDrop);
    };
  }, [onFiles, onText]);

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
      <Icon name={icon} size={34} color={palette.accent} />
      <Text>{says}</Text>
      <Button mode="contained" onPress={() => input.current?.click()}>
        Choose files
      </Button>
      <input
        ref={input}
        type="file"
        multiple
        accept={accept}
        aria-label={label}
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
