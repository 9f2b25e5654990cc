export * from './auth';
export * from './people';
export * from './games';
export * from './hours';
export * from './weeks';
export * from './shots';
export * from './skill';
export * from './limits';
