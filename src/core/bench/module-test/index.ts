// Lamp and battery on a transistor module: where the leads go and what the answers mean.
export * from './devices';
export * from './verdict';
export * from './fitting';
