import { mostLogo_chars } from '../../core/job/firm-schema.js';
import { logoSize_px } from '../../core/job/firm.js';
import { asJpeg } from '../files/as-jpeg';

/**
 * A picture scaled down to fit a letterhead, as a data URL stored with the company. @throws Error with what to choose
 * instead, where the file is not a picture a browser reads or stays too large.
 */
export async function smallPicture(file: Blob): Promise<string> {
  const picture = await createImageBitmap(file).catch(() => {
    throw new Error('this is not a picture the browser can read: choose a PNG or a JPEG');
  });
  // On white, as on paper.
  const drawn = asJpeg(picture, { ...logoSize_px, quality: 0.92, ground: '#ffffff' });
  if (drawn.length > mostLogo_chars)
    throw new Error('this picture is too detailed for a logo: choose a drawing, not a photo');
  return drawn;
}
