export { PeopleScreen as default } from '@/screens/people/PeopleScreen';
