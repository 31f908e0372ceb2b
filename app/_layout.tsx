export { RootLayout as default } from '@/screens/RootLayout';
