"use client";

import { useId } from "react";
import Form from "react-bootstrap/Form";

/** Where a photo is taken or chosen. The same file may be chosen again. */
export function PhotoPress({
  label,
  disabled,
  onPhoto,
}: {
  label: string;
  disabled: boolean;
  onPhoto: (photo: File) => void;
}) {
  const id = useId();
  return (
    <>
      <Form.Label className="mb-1 fw-semibold" htmlFor={id}>
        {label}
      </Form.Label>
      <Form.Control
        id={id}
        type="file"
        accept="image/*"
        disabled={disabled}
        onChange={(event) => {
          const input = event.target as HTMLInputElement;
          const photo = input.files?.[0];
          input.value = "";
          if (photo) onPhoto(photo);
        }}
      />
    </>
  );
}
