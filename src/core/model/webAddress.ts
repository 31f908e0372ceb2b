/** Whether a text is an address of the web: nothing else is ever opened by a press. */
export const isWebAddress = (text: string): boolean => /^https?:\/\/\S/i.test(text.trim());
