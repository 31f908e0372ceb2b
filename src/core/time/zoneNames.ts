import { isKnownZone } from './zones';

/** Well-known places that are not the name of a zone, with the zone whose clock they go by. */
export const PLACES: Readonly<Record<string, string>> = {
  Osaka: 'Asia/Tokyo',
  Kyoto: 'Asia/Tokyo',
  Beijing: 'Asia/Shanghai',
  Mumbai: 'Asia/Kolkata',
  Delhi: 'Asia/Kolkata',
  Bengaluru: 'Asia/Kolkata',
  Edinburgh: 'Europe/London',
  Manchester: 'Europe/London',
  Porto: 'Europe/Lisbon',
  Barcelona: 'Europe/Madrid',
  Milan: 'Europe/Rome',
  Munich: 'Europe/Berlin',
  Hamburg: 'Europe/Berlin',
  Frankfurt: 'Europe/Berlin',
  Geneva: 'Europe/Zurich',
  Rotterdam: 'Europe/Amsterdam',
  Boston: 'America/New_York',
  Washington: 'America/New_York',
  Miami: 'America/New_York',
  'San Francisco': 'America/Los_Angeles',
  Seattle: 'America/Los_Angeles',
  Houston: 'America/Chicago',
  Dallas: 'America/Chicago',
  Montreal: 'America/Toronto',
  Ottawa: 'America/Toronto',
  'Cape Town': 'Africa/Johannesburg',
  Canberra: 'Australia/Sydney',
  Wellington: 'Pacific/Auckland',
  'Rio de Janeiro': 'America/Sao_Paulo',
  'Tel Aviv': 'Asia/Jerusalem',
  Haifa: 'Asia/Jerusalem',
  Chennai: 'Asia/Kolkata',
  Hyderabad: 'Asia/Kolkata',
  Pune: 'Asia/Kolkata',
  Hanoi: 'Asia/Bangkok',
  'Abu Dhabi': 'Asia/Dubai',
  Doha: 'Asia/Qatar',
  Bern: 'Europe/Zurich',
  Basel: 'Europe/Zurich',
  Cologne: 'Europe/Berlin',
  Naples: 'Europe/Rome',
  Lyon: 'Europe/Paris',
  'The Hague': 'Europe/Amsterdam',
  Gothenburg: 'Europe/Stockholm',
  Bergen: 'Europe/Oslo',
  Krakow: 'Europe/Warsaw',
  Philadelphia: 'America/New_York',
  Atlanta: 'America/New_York',
  'San Diego': 'America/Los_Angeles',
  Calgary: 'America/Edmonton',
  Brasilia: 'America/Sao_Paulo',
};

/** Zones under the names that they have now; browsers still list some by their former ones. */
const RENAMED: Record<string, string> = {
  'Asia/Calcutta': 'Asia/Kolkata',
  'Asia/Katmandu': 'Asia/Kathmandu',
  'Asia/Rangoon': 'Asia/Yangon',
  'Asia/Saigon': 'Asia/Ho_Chi_Minh',
  'Asia/Dacca': 'Asia/Dhaka',
  'Asia/Thimbu': 'Asia/Thimphu',
  'Atlantic/Faeroe': 'Atlantic/Faroe',
  'America/Godthab': 'America/Nuuk',
  'America/Buenos_Aires': 'America/Argentina/Buenos_Aires',
  'America/Indianapolis': 'America/Indiana/Indianapolis',
  'America/Louisville': 'America/Kentucky/Louisville',
  'Europe/Kiev': 'Europe/Kyiv',
  'Pacific/Enderbury': 'Pacific/Kanton',
  'Pacific/Ponape': 'Pacific/Pohnpei',
  'Pacific/Truk': 'Pacific/Chuuk',
};

/** A zone's former city, where it had another name. */
export const FORMER = new Map(Object.entries(RENAMED).map(([old, now]) => [now, old]));

/** The zones to choose from, of those that this machine lists: by their names of now, and UTC. */
export function zonesToChoose(listed: readonly string[]): string[] {
  const now = listed.map((zone) => {
    const renamed = RENAMED[zone];
    return renamed && isKnownZone(renamed) ? renamed : zone;
  });
  return [...new Set([...now, 'UTC'])];
}

export const spaced = (text: string) => text.replaceAll('_', ' ');

/** The place that a zone is named after: "Asia/Tokyo" → "Tokyo". */
export const cityOf = (zone: string) => spaced(zone.split('/').at(-1)!);
