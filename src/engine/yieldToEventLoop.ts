/** Gives waiting messages a turn, so that long work can be asked about and stopped. */
export const yieldToEventLoop = () => new Promise<void>((resolve) => setTimeout(resolve, 0));
