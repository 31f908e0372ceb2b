import { ExpoRoot } from 'expo-router';
import { ctx } from 'expo-router/_ctx';
import Head from 'expo-router/head';
import { EngineProvider } from '@/data/engineContext';
import { MessageProvider } from '@/data/messages';

/**
 * The app as the browser starts it. What is kept, and what was just said, stand above the routes: a
 * step back to an entry that the router did not write itself draws all of those anew.
 */
export function App() {
  return (
    <EngineProvider>
      <MessageProvider>
        <Head.Provider>
          <ExpoRoot context={ctx} />
        </Head.Provider>
      </MessageProvider>
    </EngineProvider>
  );
}
