// In tests there is no browser bundle to keep server code out of.
export {};
