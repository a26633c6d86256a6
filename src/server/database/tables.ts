// All tables except those of the accounts.
export * from './courseTables';
export * from './jobTables';
export * from './ltiTables';
export * from './oneRosterTables';
export * from './outboxTables';
export * from './outcomeTables';
export * from './releaseTables';
export * from './vaultTables';
