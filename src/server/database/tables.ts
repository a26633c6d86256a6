// Every table but those of the accounts, by what it is part of.
export * from './courseTables';
export * from './jobTables';
export * from './releaseTables';
export * from './vaultTables';
