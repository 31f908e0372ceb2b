import path from 'node:path';
import { createApp } from './app';
import { listen } from './listen';

const first = process.argv.includes('--demo') ? 'demo' : 'own';
const folder = path.join(__dirname, '..', 'dist');

listen(createApp(folder, first), process.env['PORT']).then(
  ({ port, note }) => {
    if (note) console.log(note);
    const what = first === 'demo' ? 'the demo, Lantern Quay Instruments' : 'your own calendars';
    console.log(`Orderly Week shows ${what} at http://localhost:${port}`);
  },
  (error: Error) => {
    console.error(error.message);
    process.exitCode = 1;
  },
);
