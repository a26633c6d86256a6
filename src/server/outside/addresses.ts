import { BlockList, isIP } from 'node:net';

/** A network in CIDR notation, `10.1.2.0/24`; null: it is none. */
function networkOf(text: string): { address: string; bits: number; family: 'ipv4' | 'ipv6' } | null {
  const [address = '', width = '', ...more] = text.split('/');
  const version = isIP(address);
  const bits = Number(width);
  if (version === 0 || more.length > 0 || !/^\d{1,3}$/.test(width) || bits > (version === 4 ? 32 : 128)) return null;
  return { address, bits, family: version === 4 ? 'ipv4' : 'ipv6' };
}

export const isNetwork = (text: string): boolean => networkOf(text) !== null;

function listOf(networks: readonly string[]): BlockList {
  const list = new BlockList();
  for (const text of networks) {
    const network = networkOf(text);
    if (!network) throw new Error(`${text} is not a network`);
    list.addSubnet(network.address, network.bits, network.family);
  }
  return list;
}

const LOOPBACK = listOf(['127.0.0.0/8', '::1/128']);

/**
 * What is not on the public Internet, by the registries of special-purpose addresses (RFC 6890 and those after it), and
 * what carries an IPv4 address inside an IPv6 one.
 */
const PRIVATE = listOf([
  ...['0.0.0.0/8', '10.0.0.0/8', '100.64.0.0/10', '127.0.0.0/8', '169.254.0.0/16', '172.16.0.0/12'],
  ...['192.0.0.0/24', '192.0.2.0/24', '192.88.99.0/24', '192.168.0.0/16', '198.18.0.0/15', '198.51.100.0/24'],
  ...['203.0.113.0/24', '224.0.0.0/4', '240.0.0.0/4'],
  ...['::/128', '::1/128', '64:ff9b::/96', '64:ff9b:1::/48', '100::/64', '2001::/23', '2001:db8::/32', '2002::/16'],
  ...['fc00::/7', 'fe80::/10', 'fec0::/10', 'ff00::/8'],
]);

export interface Allowed {
  readonly loopback: boolean;
  readonly networks: readonly string[];
}

/** An IPv4 address inside an IPv6 one (`::ffff:10.0.0.1`) is judged as the IPv4 address, by Node's own rules. */
const family = (address: string) => (isIP(address) === 6 ? 'ipv6' : 'ipv4');

export const isLoopback = (address: string): boolean => LOOPBACK.check(address, family(address));

/** True if this IP address may be connected to. */
export function mayConnect(address: string, { loopback, networks }: Allowed): boolean {
  if (isIP(address) === 0) return false;
  if (isLoopback(address)) return loopback;
  return !PRIVATE.check(address, family(address)) || listOf(networks).check(address, family(address));
}

/** True if an address that somebody gives us is https, or http to the loopback. Where it leads is judged at each use. */
export function isOutsideAddress(text: string): boolean {
  if (!URL.canParse(text)) return false;
  const { protocol, hostname, username, password } = new URL(text);
  if (username !== '' || password !== '') return false;
  return protocol === 'https:' || (protocol === 'http:' && isLoopbackName(hostname));
}

/** The name of the loopback, or one of its addresses, as it stands in a URL. */
export function isLoopbackName(hostname: string): boolean {
  const bare = hostname.replace(/^\[|\]$/g, '');
  return bare === 'localhost' || (isIP(bare) !== 0 && isLoopback(bare));
}
