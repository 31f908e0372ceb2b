import { useCallback, useState } from 'react';
import type { LayoutChangeEvent } from 'react-native';

/** How much room an element has, in px; nothing until it is laid out. */
export function useRoom() {
  const [room, setRoom] = useState({ width: 0, height: 0 });
  const onLayout = useCallback(({ nativeEvent }: LayoutChangeEvent) => {
    const { width, height } = nativeEvent.layout;
    setRoom((last) => (last.width === width && last.height === height ? last : { width, height }));
  }, []);
  return { room, onLayout };
}
