"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import Button from "react-bootstrap/Button";
import { forgetPages } from "@/offline/keptPages";
import { goTo } from "@/app/_parts/goTo";
import { endDeviceAction, leaveAction } from "@/app/door/_parts/actions";

export interface ShownDevice {
  readonly id: string;
  readonly name: string;
  readonly seen: string;
  /** Whether it is this one. */
  readonly here: boolean;
}

/** Devices that may come in, each with the press that ends it. */
export function Devices({ devices }: { devices: readonly ShownDevice[] }) {
  const router = useRouter();
  const [trouble, setTrouble] = useState<string | null>(null);
  const end = async ({ id, here }: ShownDevice) => {
    setTrouble(null);
    if (here) {
      await leaveAction();
      await forgetPages();
      goTo("/door");
      return;
    }
    const result = await endDeviceAction("", { deviceId: id }).catch(() => null);
    if (result?.ok) router.refresh();
    else setTrouble(result?.problems.map(({ message }) => message).join(" ") ?? "Check the connection and try again.");
  };
  return (
    <>
      <ul className="list-group mb-2">
        {devices.map((device) => (
          <li key={device.id} className="list-group-item d-flex gap-2 align-items-center">
            <span className="me-auto">
              <strong>{device.name}</strong>
              {device.here ? ", this one" : `, last here ${device.seen}`}
            </span>
            <Button variant="outline-primary" onClick={() => end(device)} aria-label={`Sign out ${device.name}`}>
              Sign out
            </Button>
          </li>
        ))}
      </ul>
      {trouble && <p className="text-danger-emphasis fw-semibold">{trouble}</p>}
    </>
  );
}
