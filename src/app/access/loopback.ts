/** Whether a host's name, without its port, is this machine's own way to itself. */
export const isLoopback = (name: string): boolean => /^(localhost|127(\.\d+){3}|\[::1\])$/.test(name);
