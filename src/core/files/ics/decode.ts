/** The text of a file, and what had to be assumed to read it. */
export interface Decoded {
  text: string;
  /** For the person, when the file was not plain UTF-8. */
  note?: string;
}

function strictUtf8(bytes: Uint8Array): string | null {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return null;
  }
}

/**
 * The bytes without folds (a line end, then a space or tab: RFC 5545 §3.1). Folding counts octets,
 * so a careless writer may cut a character in two; joined again, it can be read.
 */
function unfoldBytes(bytes: Uint8Array): Uint8Array {
  const out = new Uint8Array(bytes.length);
  let length = 0;
  for (let i = 0; i < bytes.length; i++) {
    const lineEnd = bytes[i] === 13 && bytes[i + 1] === 10 ? 2 : bytes[i] === 10 ? 1 : 0;
    const next = bytes[i + lineEnd];
    if (lineEnd && (next === 32 || next === 9)) i += lineEnd;
    else out[length++] = bytes[i]!;
  }
  return out.subarray(0, length);
}

/**
 * Reads bytes as text: UTF-8 and UTF-16 by their byte-order marks, else UTF-8, else Windows-1252,
 * in which every byte means something. Never fails.
 */
export function decodeText(bytes: Uint8Array): Decoded {
  if (bytes[0] === 0xff && bytes[1] === 0xfe)
    return { text: new TextDecoder('utf-16le').decode(bytes) };
  if (bytes[0] === 0xfe && bytes[1] === 0xff)
    return { text: new TextDecoder('utf-16be').decode(bytes) };
  const utf8 = strictUtf8(bytes) ?? strictUtf8(unfoldBytes(bytes));
  if (utf8 !== null) return { text: utf8 };
  return {
    text: new TextDecoder('windows-1252').decode(bytes),
    note: 'The file is not UTF-8; it was read as Western European (Windows-1252). Look at accented letters.',
  };
}
