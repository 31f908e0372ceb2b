import '@/core/testing/properties';
import '@testing-library/jest-dom';
import { configure } from '@testing-library/react';

// What is waited for comes, however busy the machine is: its first reading of a module may take seconds.
configure({ asyncUtilTimeout: 30_000 });

// jsdom has no media: no query holds, unless a test says so.
window.matchMedia ??= (media) =>
  Object.assign(new EventTarget(), {
    matches: false,
    media,
    onchange: null,
    addListener: () => undefined,
    removeListener: () => undefined,
  });

// For each element that a role is looked for among, jsdom would match every rule of every sheet, which
// took most of the time. What a sheet hides is seen by the browser's tests alone.
window.getComputedStyle = (element) => (element as HTMLElement).style;
