'use client';
import { Box } from '@chakra-ui/react';
import { Camera } from 'lucide-react';
import Image from 'next/image';
import { useState } from 'react';
import { Secondary } from './buttons';
import { call } from '../api/call';
import { Text } from './text';

interface Pending {
  file: File;
  error: string | null;
}

async function upload(file: File): Promise<{ sha256: string } | { error: string }> {
  const answer = await call('POST /api/v1/blobs', { file });
  if (answer.ok) return answer.value;
  return { error: answer.status === 0 ? 'Not saved: server not reachable.' : answer.error };
}

/** Photographs of one thing. Each is kept at once; the entry carries only its address. */
export function Photos({
  label,
  photos,
  onChange,
}: {
  label: string;
  photos: readonly string[];
  /** Absent: they are looked at only. */
  onChange?: (photos: string[]) => void;
}) {
  const [pending, setPending] = useState<Pending[]>([]);
  const add = async (files: readonly File[]) => {
    setPending(files.map((file) => ({ file, error: null })));
    const kept: string[] = [];
    const failed: Pending[] = [];
    for (const file of files) {
      const answer = await upload(file);
      if ('sha256' in answer) kept.push(answer.sha256);
      else failed.push({ file, error: answer.error });
    }
    if (kept.length > 0) onChange?.([...new Set([...photos, ...kept])]);
    setPending(failed);
  };
  return (
    <Box display="flex" flexWrap="wrap" gap="2" alignItems="center">
      {photos.map((sha) => (
        <a
          key={sha}
          href={`/api/v1/blobs/${sha}`}
          target="_blank"
          rel="noreferrer"
          aria-label={`${label}, photograph`}
        >
          <Image
            src={`/api/v1/blobs/${sha}`}
            alt={label}
            width={64}
            height={48}
            unoptimized
            style={{
              objectFit: 'cover',
              width: 64,
              height: 48,
              border: '1px solid var(--chakra-colors-line)',
            }}
          />
        </a>
      ))}
      {onChange !== undefined && (
        <Secondary asChild>
          <label style={{ cursor: 'pointer' }}>
            <Camera size={18} aria-hidden /> Photo
            <input
              type="file"
              accept="image/*"
              multiple
              aria-label={`Photograph: ${label}`}
              style={{ position: 'absolute', width: 1, height: 1, opacity: 0 }}
              onChange={(e) => {
                void add([...(e.target.files ?? [])]);
                e.target.value = '';
              }}
            />
          </label>
        </Secondary>
      )}
      {pending.map((p) => (
        <Box key={p.file.name} fontSize="0.9rem">
          {p.error === null ? (
            <Text role="status">saving {p.file.name}…</Text>
          ) : (
            <Text role="alert" color="failed">
              {p.error}{' '}
              <Secondary minH="44px" onClick={() => void add([p.file])}>
                Try again
              </Secondary>
            </Text>
          )}
        </Box>
      ))}
    </Box>
  );
}
