export { InvitationsScreen as default } from '@/screens/invitations/InvitationsScreen';
