import '@testing-library/jest-dom';

// jsdom has no media: no query holds, unless a test says so.
window.matchMedia ??= (media) =>
  Object.assign(new EventTarget(), {
    matches: false,
    media,
    onchange: null,
    addListener: () => undefined,
    removeListener: () => undefined,
  });
