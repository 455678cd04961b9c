interface Drawn {
  /** Maximum size, px; nothing is scaled up. */
  readonly width: number;
  readonly height?: number;
  readonly quality: number;
  /** Background behind a transparent picture, which would otherwise be black. */
  readonly ground?: string;
}

/**
 * A picture converted to JPEG, which PDF takes whatever the source format, as a data URL (RFC 2397). Closes the bitmap.
 */
export function asJpeg(picture: ImageBitmap, { width, height = Infinity, quality, ground }: Drawn): string {
  const scale = Math.min(1, width / picture.width, height / picture.height);
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(picture.width * scale));
  canvas.height = Math.max(1, Math.round(picture.height * scale));
  const drawing = canvas.getContext('2d');
  if (!drawing) throw new Error('this browser cannot draw it: try another one');
  if (ground !== undefined) {
    drawing.fillStyle = ground;
    drawing.fillRect(0, 0, canvas.width, canvas.height);
  }
  drawing.drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  return canvas.toDataURL('image/jpeg', quality);
}
