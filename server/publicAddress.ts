import { lookup } from 'node:dns';
import type { LookupFunction } from 'node:net';
import { isIP } from 'node:net';
import ipaddr from 'ipaddr.js';

/** Why an address is not asked, in words for the person. */
export class AddressError extends Error {
  override name = 'AddressError';
}

/** Where the open internet's IPv6 addresses lie (RFC 4291 §2.4); older spellings of IPv4 ones do not. */
const GLOBAL_UNICAST = ipaddr.IPv6.parseCIDR('2000::/3');

/** Whether an IP address is one of the open internet, and not of this machine or a private network. */
export function isPublicIp(ip: string): boolean {
  const address = ipaddr.process(ip);
  if (address.range() !== 'unicast') return false;
  return address.kind() === 'ipv4' || (address as ipaddr.IPv6).match(GLOBAL_UNICAST);
}

const PRIVATE = 'This address is inside a private network, which is not asked.';

/**
 * The URL of an address, when it may be asked at all.
 * @throws AddressError when it is no http(s) URL, or names a private network outright.
 */
export function checkedUrl(address: string): URL {
  let url: URL;
  try {
    url = new URL(address);
  } catch {
    throw new AddressError('This is not an address. It begins with http:// or https://.');
  }
  if (url.protocol !== 'http:' && url.protocol !== 'https:')
    throw new AddressError('Only addresses that begin with http:// or https:// can be followed.');
  if (url.username || url.password)
    throw new AddressError('An address with a name and a password in it is not asked.');
  const host = url.hostname.replace(/^\[|\]$/g, '');
  if (isIP(host) && !isPublicIp(host)) throw new AddressError(PRIVATE);
  return url;
}

/** Looks a host's name up for a connection, and refuses what leads into a private network. */
export const publicLookup: LookupFunction = (host, options, done) => {
  lookup(host, { ...options, all: true }, (error, addresses) => {
    if (error) done(error, '', 0);
    else if (!addresses.length || !addresses.every(({ address }) => isPublicIp(address)))
      done(new AddressError(PRIVATE), '', 0);
    else if (options.all) done(null, addresses);
    else done(null, addresses[0]!.address, addresses[0]!.family);
  });
};
