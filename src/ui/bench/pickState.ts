/** Some parts of a state by name, as a selector for `useShallow`. */
export const pickState =
  <S extends object, K extends keyof S>(names: readonly K[]) =>
  (state: S): Pick<S, K> =>
    Object.fromEntries(names.map((name) => [name, state[name]])) as Pick<S, K>;
