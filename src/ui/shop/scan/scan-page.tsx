'use client';
import { Box } from '@chakra-ui/react';
import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useRef, useState } from 'react';
import { labelFrom } from '@/core/replacement/wires';
import { stageAddress, type Person } from '@/core/logbook';
import { Primary, Secondary } from '../../kit/buttons';
import { CardPage } from '../../kit/card-page';
import { Section } from '../../kit/section';
import { TextField } from '../../kit/field';
import { FileButton } from '../../kit/file-button';
import { useReader } from './use-reader';
import { Text } from '../../kit/text';

const everySoOften_ms = 250;

/** A wire found by its label: through the camera, from a photograph, or typed. */
export function ScanPage({ people, person }: { people: readonly Person[]; person: Person }) {
  const router = useRouter();
  const read = useReader();
  const video = useRef<HTMLVideoElement>(null);
  const [stream, setStream] = useState<MediaStream | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const [typed, setTyped] = useState('');
  const open = useCallback(
    (text: string | null, nothing: string) => {
      const label = text === null ? null : labelFrom(text);
      if (label !== null) router.push(`/jobs/${label.jobId}/${stageAddress('swap')}?wire=${label.number}`);
      else setSaid(text === null ? nothing : `This is not a wire label: “${text.slice(0, 80)}”.`);
      return label !== null;
    },
    [router],
  );

  useEffect(() => {
    const element = video.current;
    if (stream === null || element === null) return;
    element.srcObject = stream;
    void element.play().catch(() => undefined);
    let stopped = false;
    const isStopped = () => stopped;
    const look = async () => {
      if (isStopped()) return;
      const text = await read(element, element.videoWidth, element.videoHeight).catch(() => null);
      if (!isStopped() && text !== null && open(text, '')) return;
      if (!isStopped()) timer = setTimeout(() => void look(), everySoOften_ms);
    };
    let timer = setTimeout(() => void look(), everySoOften_ms);
    return () => {
      stopped = true;
      clearTimeout(timer);
      for (const track of stream.getTracks()) track.stop();
    };
  }, [stream, read, open]);

  const begin = async () => {
    setSaid(null);
    try {
      setStream(await navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment' } }));
    } catch {
      setSaid('Camera not available. Take a photograph of the label, or enter its number in the job.');
    }
  };
  const photo = async (file: File) => {
    setSaid('Reading…');
    try {
      const picture = await createImageBitmap(file);
      open(
        await read(picture, picture.width, picture.height),
        'No code found in this picture. Take it closer, straight on, in good light.',
      );
    } catch {
      setSaid('This picture cannot be read. Take it again.');
    }
  };
  return (
    <CardPage
      title="Find a wire by its label"
      about="Hold the code of the label in front of the camera."
      people={people}
      person={person}
      maxW="860px"
    >
      <Section title="Camera">
        {stream === null ? (
          <Primary onClick={() => void begin()}>Open the camera</Primary>
        ) : (
          <>
            <Box maxW="560px" bg="ink" mb="2">
              <video
                ref={video}
                muted
                playsInline
                style={{ width: '100%', display: 'block' }}
                aria-label="Camera"
              />
            </Box>
            <Secondary onClick={() => setStream(null)}>Close the camera</Secondary>
          </>
        )}
        <Text role="status" mt="2" minH="1.5em">
          {said}
        </Text>
      </Section>
      <Section title="Or use a photograph">
        <FileButton
          label="Photograph of a label"
          said="Photograph of a label"
          accept="image/*"
          take={(file) => void photo(file)}
        />
      </Section>
      <Section title="Or enter the text of a hand scanner">
        <form
          onSubmit={(e) => {
            e.preventDefault();
            open(typed, '');
          }}
        >
          <Box display="flex" gap="3" alignItems="end" flexWrap="wrap">
            <Box flex="1" minW="240px">
              <TextField label="Text of the code" text={typed} maxLength={200} set={setTyped} />
            </Box>
            <Primary type="submit">Open the wire</Primary>
          </Box>
        </form>
      </Section>
    </CardPage>
  );
}
