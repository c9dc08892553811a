"use client";

// Pictures are served from this machine, scaled down: nothing is left to optimise.
/* eslint-disable @next/next/no-img-element */

import { Link } from "@/ui/Link";
import { useCallback, useEffect, useRef, useState } from "react";
import Button from "react-bootstrap/Button";
import Form from "react-bootstrap/Form";
import { v7 as uuidv7 } from "uuid";
import { NotSentYet } from "@/app/_parts/NotSentYet";
import { outbox } from "@/offline/outbox";
import type { Day } from "@/core/shared/days";
import { PHOTO_LIMIT_MB } from "@/core/record/facts/kinds/photo";
import type { SpotId } from "@/core/knowledge/plants/spots";
import { useCollection } from "@/ui/shell/Collection";
import { dayInWords } from "@/wording/dates";
import { spotNames, toolNames } from "@/wording/names/names";
import { withOffset } from "@/zones";
import type { Shown } from "./ThenAndNow";
import { named } from "@/ui/fields/options";
import { SelectBox } from "@/ui/fields/SelectBox";

interface Props {
  readonly plantId: string;
  readonly about: string;
  /** The photo that shines through the camera's picture; null for none. */
  readonly ghost: Shown | null;
  /** The look that a photo alone is kept with; null while there is none. */
  readonly last: { readonly id: string; readonly day: Day } | null;
  /** Where the newest growth of such a plant is looked at. */
  readonly spot: SpotId;
}

/** With what a leaf in the hand is looked at. */
const TOOLS = ["eye", "lamp", "loupe"] as const;

/**
 * The same leaf once more: by the camera with the last photo shining through, from a file, or pasted. Then the keeper says what the look at
 * what has opened since came to; that look is on record like any other. It works without a line.
 */
export function SameAgain({ plantId, about, ghost, last, spot }: Props) {
  const { id: collectionId, timeZone } = useCollection();
  const [photo, setPhoto] = useState<{ readonly blob: Blob; readonly url: string } | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  // What nobody says otherwise was looked at with the naked eye: no look is made out better than it was.
  const [tool, setTool] = useState<(typeof TOOLS)[number]>("eye");
  const [opened, setOpened] = useState("");
  const take = useCallback((blob: Blob | null | undefined) => {
    if (!blob) return;
    if (!blob.type.startsWith("image/")) return setSaid("That is not a picture.");
    if (blob.size > PHOTO_LIMIT_MB * 1024 * 1024)
      return setSaid(`This photo is larger than ${PHOTO_LIMIT_MB} MB. Choose a smaller one.`);
    setSaid(null);
    setPhoto({ blob, url: URL.createObjectURL(blob) });
  }, []);
  useEffect(() => () => void (photo && URL.revokeObjectURL(photo.url)), [photo]);
  useEffect(() => {
    const paste = ({ clipboardData }: ClipboardEvent) =>
      take([...(clipboardData?.files ?? [])].find(({ type }) => type.startsWith("image/")));
    window.addEventListener("paste", paste);
    return () => window.removeEventListener("paste", paste);
  }, [take]);
  const keepWith = (lookId: string, what: string) => {
    outbox.addPhoto({ id: uuidv7(), lookId }, photo!.blob, { collectionId, about, byClock: false });
    setPhoto(null);
    setSaid(what);
  };
  const clean = () => {
    const id = uuidv7();
    const at = withOffset(new Date(), timeZone);
    const newLeaves = opened === "" ? null : Number(opened);
    const input = { id, plantId, at, note: "", tool, spots: [spot], newLeaves, finds: [] };
    outbox.add({ kind: "look", input }, { collectionId, about, byClock: true });
    keepWith(id, "The look at the new growth is recorded, with its photo.");
  };
  const sound = opened === "" || (/^\d+$/.test(opened) && Number(opened) >= 1 && Number(opened) <= 200);
  return (
    <>
      <NotSentYet />
      {said && <p role="status">{said}</p>}
      {photo ? (
        <>
          <img src={photo.url} alt="The photo as it was taken" className="pair-taken" />
          <p className="fw-semibold mb-1">What has opened since the last look?</p>
          <div className="row g-2 mb-2">
            <SelectBox
              className="col-6"
              label="Looked with"
              value={tool}
              options={named(TOOLS, toolNames)}
              onPick={setTool}
            />
            <Form.Group controlId="same-opened" className="col-6">
              <Form.Label className="mb-1">New leaves since the last look, without marks</Form.Label>
              <Form.Control
                type="number"
                inputMode="numeric"
                min={1}
                max={200}
                value={opened}
                isInvalid={!sound}
                onChange={(event) => setOpened(event.target.value)}
              />
              <Form.Control.Feedback type="invalid">From 1 to 200; empty if none has opened.</Form.Control.Feedback>
            </Form.Group>
          </div>
          <p className="small">It is recorded as a look at one spot only: {spotNames[spot].toLowerCase()}.</p>
          <div className="d-grid gap-2">
            <Button className="big" disabled={!sound} onClick={clean}>
              Nothing on it
            </Button>
            {/* Beside this page, so that the photo waits here and is kept with the find afterwards. */}
            <Link className="btn btn-outline-primary big" href={`/plants/${plantId}/look`} target="_blank">
              Something on it: record the find, then save the photo here
            </Link>
            {last && (
              <Button
                variant="outline-primary"
                onClick={() => keepWith(last.id, `The photo is kept with the look of ${dayInWords(last.day)}.`)}
              >
                Save only the photo, with the look of {dayInWords(last.day)}
              </Button>
            )}
            <Button variant="outline-primary" onClick={() => setPhoto(null)}>
              Take another
            </Button>
          </div>
        </>
      ) : (
        <>
          <Camera ghost={ghost} onTaken={take} />
          <Form.Label htmlFor="same-file" className="fw-semibold mb-1">
            Or choose a file, or paste one
          </Form.Label>
          <Form.Control
            id="same-file"
            type="file"
            accept="image/*"
            onChange={(event) => take((event.target as HTMLInputElement).files?.[0])}
          />
          <p className="small mb-0">The location is removed from it.</p>
        </>
      )}
    </>
  );
}

/** The camera with the last photo shining through, so that the same leaf comes into the same place. */
function Camera({ ghost, onTaken }: { ghost: Shown | null; onTaken: (photo: Blob | null) => void }) {
  const video = useRef<HTMLVideoElement>(null);
  const [stream, setStream] = useState<MediaStream | null>(null);
  const [trouble, setTrouble] = useState(false);
  useEffect(() => {
    if (video.current) video.current.srcObject = stream;
    return () => stream?.getTracks().forEach((track) => track.stop());
  }, [stream]);
  const open = () => {
    // Browsers lend their camera to this machine itself and to pages by TLS, and to no others.
    if (!("mediaDevices" in navigator)) return setTrouble(true);
    navigator.mediaDevices
      .getUserMedia({ video: { facingMode: "environment", width: { ideal: 1920 } }, audio: false })
      .then(setStream)
      .catch(() => setTrouble(true));
  };
  const shoot = () => {
    const { current: shown } = video;
    if (!shown) return;
    const canvas = document.createElement("canvas");
    [canvas.width, canvas.height] = [shown.videoWidth, shown.videoHeight];
    canvas.getContext("2d")?.drawImage(shown, 0, 0);
    canvas.toBlob(onTaken, "image/jpeg", 0.92);
    setStream(null);
  };
  if (trouble)
    return (
      <p>
        The camera cannot be opened here. Take the photo with the phone&rsquo;s own camera and choose it below, or open
        this page over https.
      </p>
    );
  if (!stream)
    return (
      <Button className="big w-100 mb-3" onClick={open}>
        Open the camera
      </Button>
    );
  return (
    <div className="mb-3">
      <div className="pair-camera">
        <video ref={video} autoPlay playsInline muted />
        {ghost && <img src={`/photos/${ghost.id}`} alt="" />}
      </div>
      {ghost && <p className="small mb-1">Line the leaf up with its ghost image of {dayInWords(ghost.day)}.</p>}
      <Button className="big w-100" onClick={shoot}>
        Take it
      </Button>
    </div>
  );
}
