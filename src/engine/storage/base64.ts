/** Bytes as base64 (RFC 4648 §4), in steps that a call's arguments hold. */
export function toBase64(bytes: Uint8Array): string {
  const STEP = 0x8000;
  let binary = '';
  for (let i = 0; i < bytes.length; i += STEP)
    binary += String.fromCharCode(...bytes.subarray(i, i + STEP));
  return btoa(binary);
}

/** @throws DOMException when the text is no base64. */
export function fromBase64(text: string): Uint8Array<ArrayBuffer> {
  return Uint8Array.from(atob(text), (character) => character.charCodeAt(0));
}
