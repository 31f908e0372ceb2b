/** What comes together when openings are first looked for. */
export { NewMeeting } from './NewMeeting';
export { OfferDialog } from './OfferDialog';
export { OpeningsDialog } from './OpeningsDialog';
