import { logoSize_px, mostLogo_chars } from '../../core/job/firm.js';

/**
 * A picture scaled down to fit the head of a paper, as a data URL that stands in the firm itself.
 * @throws Error with what to choose instead, where the file is no picture a browser reads or stays too large.
 */
export async function smallPicture(file: Blob): Promise<string> {
  const picture = await createImageBitmap(file).catch(() => {
    throw new Error('this is no picture that can be read: choose a PNG or a JPEG');
  });
  const scale = Math.min(1, logoSize_px.width / picture.width, logoSize_px.height / picture.height);
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(picture.width * scale));
  canvas.height = Math.max(1, Math.round(picture.height * scale));
  const drawing = canvas.getContext('2d');
  if (!drawing) throw new Error('this browser cannot draw it: try another one');
  // On white, as on paper: a JPEG has nothing to see through.
  drawing.fillStyle = '#ffffff';
  drawing.fillRect(0, 0, canvas.width, canvas.height);
  drawing.drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  const drawn = canvas.toDataURL('image/jpeg', 0.92);
  if (drawn.length > mostLogo_chars)
    throw new Error('this picture is too detailed for a logo: choose a drawing, not a photo');
  return drawn;
}
