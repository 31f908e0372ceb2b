// First: what is open hears the browser's Back before the router does.
import './src/ui/backStack';
import '@expo/metro-runtime';
import { renderRootComponent } from 'expo-router/build/renderRootComponent';
import { App } from './src/screens/App';

renderRootComponent(App);
