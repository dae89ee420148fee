"use client";

import NextLink from "next/link";
import { useState, type ComponentProps } from "react";

/**
 * A way to another page, fetched ahead once a pointer, a finger or the keyboard is on it. Fetched as soon as it is seen,
 * a station's nine neighbours cost the server six times what the station itself does, and a bench is left by one of them.
 */
export function Link({
  onPointerEnter,
  onFocus,
  ...props
}: Omit<ComponentProps<typeof NextLink>, "prefetch">) {
  const [isMeant, setMeant] = useState(false);
  return (
    <NextLink
      {...props}
      prefetch={isMeant ? null : false}
      onPointerEnter={(event) => {
        setMeant(true);
        onPointerEnter?.(event);
      }}
      onFocus={(event) => {
        setMeant(true);
        onFocus?.(event);
      }}
    />
  );
}
