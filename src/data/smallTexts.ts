import AsyncStorage from '@react-native-async-storage/async-storage';

/**
 * The small texts that this browser keeps beside the records, for all of its windows. They lie in the
 * platform's storage on localStorage, which writes at once, also while a page closes, and which is
 * another one than that of the records: when either is lost, the other says so.
 */
let texts = new Map<string, string>();
const listeners = new Set<() => void>();

function set(key: string, text: string | null): void {
  if (text === null) texts.delete(key);
  else texts.set(key, text);
  for (const listener of listeners) listener();
}

/** Another window wrote; without a key, it took everything away. */
function onStorage({ key, newValue }: StorageEvent): void {
  if (key === null) texts.clear();
  set(key ?? '', newValue);
}

/** Reads all of them, so that the first screen is drawn as it was left. Where storage is denied there are none. */
export async function readAhead(): Promise<void> {
  window.addEventListener('storage', onStorage);
  try {
    const found = await AsyncStorage.getMany(await AsyncStorage.getAllKeys());
    texts = new Map(Object.entries(found).flatMap(([key, text]) => (text ? [[key, text]] : [])));
  } catch {
    texts = new Map();
  }
}

export const smallText = (key: string): string | null => texts.get(key) ?? null;

/** Keeps a text, or none. Where storage is full or denied, it holds on this page. */
export function keepSmallText(key: string, text: string | null): void {
  set(key, text);
  const kept = text === null ? AsyncStorage.removeItem(key) : AsyncStorage.setItem(key, text);
  kept.catch(() => undefined);
}

/** Calls a listener when a text changes, in this window or another. Returns a function that stops it. */
export function listenToTexts(listener: () => void): () => void {
  listeners.add(listener);
  return () => void listeners.delete(listener);
}
