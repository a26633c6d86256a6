import { useDropzone } from 'react-dropzone';
import type { BenchStore } from '../store';
import { takeFiles } from './takeFiles';

/** Files dropped anywhere on the scene or beside it. */
export function useFileDrop(store: BenchStore) {
  const { getRootProps } = useDropzone({
    onDrop: (files) => void takeFiles(store, files),
    noClick: true,
    noKeyboard: true,
  });
  const { tabIndex: _, role: __, ...props } = getRootProps();
  return props;
}
