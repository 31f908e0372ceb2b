export { TasksScreen as default } from '@/screens/tasks/TasksScreen';
