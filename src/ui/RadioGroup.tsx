import type { ReactNode } from 'react';
import { useEffect, useLayoutEffect, useRef } from 'react';
import type { StyleProp, ViewStyle } from 'react-native';
import { View } from 'react-native';

interface Props {
  name: string;
  style?: StyleProp<ViewStyle>;
  /** Holds elements with the role of a radio button. */
  children: ReactNode;
}

const STEPS: Record<string, number> = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 };

const radiosIn = (group: HTMLElement) =>
  [...group.querySelectorAll<HTMLElement>('[role="radio"]')].filter(
    (radio) => radio.getAttribute('aria-disabled') !== 'true',
  );

/** One of several, as the browser's own radio buttons behave: one stop for Tab, arrows go on, Space chooses. */
export function RadioGroup({ name, style, children }: Props) {
  const ref = useRef<View>(null);
  const elementOf = () => ref.current as unknown as HTMLElement;

  // Which one Tab stops at depends on what is chosen.
  useLayoutEffect(() => {
    const radios = radiosIn(elementOf());
    const stop = radios.find((radio) => radio.getAttribute('aria-checked') === 'true') ?? radios[0];
    for (const radio of radios) radio.tabIndex = radio === stop ? 0 : -1;
  });

  useEffect(() => {
    const group = elementOf();
    function onKeyDown(event: KeyboardEvent) {
      const radios = radiosIn(group);
      const at = radios.indexOf(event.target as HTMLElement);
      const step = STEPS[event.key];
      if (at < 0 || (step === undefined && event.key !== ' ')) return;
      // The page's own keys are not meant.
      event.preventDefault();
      event.stopPropagation();
      const next = radios[(at + (step ?? 0) + radios.length) % radios.length]!;
      next.focus();
      next.click();
    }
    group.addEventListener('keydown', onKeyDown);
    return () => group.removeEventListener('keydown', onKeyDown);
  }, []);

  return (
    <View ref={ref} role="radiogroup" aria-label={name} style={style}>
      {children}
    </View>
  );
}
