// First: what is open hears the browser's Back before the router does.
import './src/ui/backStack';
import '@expo/metro-runtime';
import { registerRootComponent } from 'expo';
import { readAhead } from './src/data/smallTexts';
import { App } from './src/screens/App';

void readAhead().then(() => registerRootComponent(App));
