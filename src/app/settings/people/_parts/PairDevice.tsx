"use client";

import { useState } from "react";
import Alert from "react-bootstrap/Alert";
import Button from "react-bootstrap/Button";
import { pairAction } from "@/app/door/_parts/actions";
import { SelectBox } from "@/ui/fields/SelectBox";

const linkOf = (address: string, token: string) => `${address}/door/pair/${token}`;

/** A link for a device, as a picture that a phone reads: it works once, within five minutes. */
export function PairDevice({
  accountId,
  label,
  addresses,
}: {
  accountId: string;
  label: string;
  addresses: readonly string[];
}) {
  const [address, setAddress] = useState(addresses[0] ?? "");
  const [shown, setShown] = useState<{ readonly link: string; readonly picture: string } | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  if (addresses.length === 0)
    return (
      <p className="mb-0">
        Phones cannot reach this computer yet. Start the application with <code>HOST=0.0.0.0 npm start</code>, and
        phones on the same network can.
      </p>
    );
  const ask = async () => {
    setTrouble(null);
    const result = await pairAction({ accountId }).catch(() => null);
    if (!result?.ok) {
      setTrouble(result?.problems.map(({ message }) => message).join(" ") ?? "Check the connection and try again.");
      return;
    }
    const link = linkOf(address, String(result.value["token"]));
    const { toDataURL } = await import("qrcode");
    setShown({ link, picture: await toDataURL(link, { margin: 2, scale: 6 }) });
  };
  return (
    <>
      {addresses.length > 1 && (
        <SelectBox
          className="mb-2"
          label="Address of this computer on your network"
          value={address}
          options={addresses.map((one) => [one, one])}
          onPick={(one) => {
            setAddress(one);
            setShown(null);
          }}
        />
      )}
      <Button variant="outline-primary" onClick={ask}>
        {label}
      </Button>
      {trouble && <Alert variant="danger">{trouble}</Alert>}
      {shown && (
        <div role="status" className="mt-2">
          {/* eslint-disable-next-line @next/next/no-img-element -- made here, of a few hundred bytes */}
          <img
            src={shown.picture}
            alt="The link as a QR code: point the phone’s camera at it"
            width={240}
            height={240}
          />
          <p className="mb-0">
            Point the phone’s camera at it, or open <a href={shown.link}>{shown.link}</a> on the phone. It works once,
            within five minutes.
          </p>
        </div>
      )}
    </>
  );
}
