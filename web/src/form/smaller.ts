const LONGER_SIDE = 2560;
const WORTH_IT = 1_500_000;

/**
 * A photograph small enough to go through on a phone, turned as it was taken. Where this browser cannot read it, or it
 * would not become smaller, it stays as it is.
 */
export async function smaller(file: File, maxBytes: number): Promise<File> {
  const isPhotograph = /^image\/(jpeg|webp|heic|heif)$/.test(file.type);
  if (!(isPhotograph && file.size > WORTH_IT) && !(file.type.startsWith('image/') && file.size > maxBytes)) return file;
  try {
    const { default: compress } = await import('browser-image-compression');
    const made = await compress(file, {
      maxWidthOrHeight: LONGER_SIDE,
      maxSizeMB: maxBytes / 1_048_576,
      initialQuality: 0.85,
      // Its worker would be fetched from somewhere else.
      useWebWorker: false,
      preserveExif: true,
      fileType: file.type === 'image/png' || file.type === 'image/webp' ? file.type : 'image/jpeg',
    });
    if (made.size === 0 || made.size >= file.size) return file;
    const name = /^image\/hei[cf]$/.test(file.type) ? file.name.replace(/\.\w+$/, '.jpg') : file.name;
    return new File([made], name, { type: made.type });
  } catch {
    return file;
  }
}
