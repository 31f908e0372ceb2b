import { later } from '@/ui/later';

export const AttachmentLater = later(() =>
  import('./AttachmentViewer').then(({ AttachmentViewer }) => AttachmentViewer),
);

export const CopyLater = later(() => import('./CopyPanel').then(({ CopyPanel }) => CopyPanel));

export const EditorLater = later(() =>
  import('./EditorPanel').then(({ EditorPanel }) => EditorPanel),
);
