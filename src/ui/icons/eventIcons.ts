/** Small icons that an event may carry, with what each is called. */
export const EVENT_ICONS = {
  'phone-outline': 'Telephone',
  'account-outline': 'Person',
  'email-outline': 'Letter',
  'file-document-outline': 'Paper',
  'truck-outline': 'Lorry',
  ferry: 'Ferry',
  train: 'Train',
  'car-outline': 'Car',
  airplane: 'Aeroplane',
  anchor: 'Anchor',
  'package-variant': 'Parcel',
  hammer: 'Hammer',
  'wrench-outline': 'Spanner',
  gauge: 'Gauge',
  'compass-outline': 'Compass',
  'lightbulb-outline': 'Lamp',
  lifebuoy: 'Lifebuoy',
  'school-outline': 'Course',
  cash: 'Money',
  'scale-balance': 'Scales',
  'key-outline': 'Key',
  'coffee-outline': 'Coffee',
  silverware: 'Meal',
  'gift-outline': 'Gift',
  'palm-tree': 'Leave',
  'bed-outline': 'Rest',
  'flag-outline': 'Flag',
  'star-outline': 'Star',
  'bell-outline': 'Bell',
} as const;

/** Whether an event's icon is one that the app can draw; files and newer versions may know others. */
export const isEventIcon = (icon: string | undefined): icon is keyof typeof EVENT_ICONS =>
  icon !== undefined && icon in EVENT_ICONS;
