/** "day 1 of 2", or nothing for one that lasts a day. */
export const sayPart = ({ nth, of }: { nth: number; of: number }) =>
  of > 1 ? `day ${nth} of ${of}` : '';
