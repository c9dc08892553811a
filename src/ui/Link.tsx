import NextLink from "next/link";
import type { ComponentProps } from "react";
import { Asking } from "./shell/Asking";

/**
 * A link whose page is fetched when it is pressed. Every page here is drawn for whoever asks, so nothing of it comes ahead: the two
 * requests the framework makes for each link on the screen, some forty a page, would only keep the server from those who wait.
 */
export const Link = ({ children, ...props }: ComponentProps<typeof NextLink>) => (
  <NextLink {...props} prefetch={false}>
    {children}
    <Asking />
  </NextLink>
);
