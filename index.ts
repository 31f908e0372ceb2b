// First: what is open hears the browser's Back before the router does.
import './src/ui/backStack';
import 'expo-router/entry';
