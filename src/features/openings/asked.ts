/** What comes together when openings are first looked for. */
export { NewMeeting } from './NewMeeting';
export { OpeningsDialog } from './OpeningsDialog';
