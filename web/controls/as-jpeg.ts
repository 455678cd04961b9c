interface Drawn {
  /** At most so large, px; nothing is drawn larger than it is. */
  readonly width: number;
  readonly height?: number;
  readonly quality: number;
  /** What is seen through a picture that can be seen through; black without it. */
  readonly ground?: string;
}

/** A picture drawn anew as a JPEG, which papers take whatever it was, as a data URL (RFC 2397). The bitmap is used up. */
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
