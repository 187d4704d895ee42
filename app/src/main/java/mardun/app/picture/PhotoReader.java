package mardun.app.picture;

import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.MetadataException;
import com.drew.metadata.exif.ExifIFD0Directory;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Iterator;
import java.util.Optional;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageInputStream;
import javax.imageio.stream.ImageOutputStream;
import mardun.app.problem.RefusedException;

/**
 * Reads a photo by what is in it, whatever it is called, and writes it anew: upright, no larger than a screen needs, and with nothing in it
 * but the picture. So no second kind of file hides in it, and where it was taken isn't kept.
 */
final class PhotoReader {

    private static final int LONGEST_SIDE = 2400;

    /** A side that no camera has. */
    private static final int LONGEST_READ = 20_000;

    private static final long MOST_PIXELS = 120_000_000;
    private static final float QUALITY = 0.86f;

    private PhotoReader() {}

    /** A photo as it is kept. */
    record Photo(String ending, byte[] bytes) {}

    /**
     * Reads a photo.
     *
     * @throws RefusedException if it can't be shown, or has more pixels than a photo has
     */
    static Photo read(byte[] bytes) {
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(bytes))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            if (!readers.hasNext()) {
                throw noPhoto();
            }
            ImageReader reader = readers.next();
            try {
                reader.setInput(in, true, true);
                boolean keepsGlass = reader.getFormatName().equalsIgnoreCase("png");
                BufferedImage picture = upright(decoded(reader), orientation(bytes), keepsGlass);
                return keepsGlass ? new Photo("png", png(picture)) : new Photo("jpg", jpeg(picture));
            } finally {
                reader.dispose();
            }
        } catch (IOException | IllegalArgumentException | IndexOutOfBoundsException damaged) {
            throw RefusedException.conflict("The photo is damaged: it can't be read to its end. Choose another one.");
        }
    }

    static RefusedException noPhoto() {
        return RefusedException.conflict("This isn't a photo that can be shown. Choose a JPEG, PNG or WebP picture.");
    }

    /** The picture, of which only every second pixel, or fewer, is read where it has many more than are kept. */
    private static BufferedImage decoded(ImageReader reader) throws IOException {
        int width = reader.getWidth(0);
        int height = reader.getHeight(0);
        if (width > LONGEST_READ || height > LONGEST_READ || (long) width * height > MOST_PIXELS) {
            throw RefusedException.conflict("The photo is " + width + " × " + height
                    + " pixels, and no more than " + MOST_PIXELS / 1_000_000
                    + " million are read. Make it smaller first.");
        }
        int step = Math.max(1, Math.max(width, height) / LONGEST_SIDE);
        ImageReadParam param = reader.getDefaultReadParam();
        param.setSourceSubsampling(step, step, 0, 0);
        return reader.read(0, param);
    }

    /** How a camera was held, as it says in the photo: 1 for upright. */
    private static int orientation(byte[] bytes) {
        try {
            return Optional.ofNullable(ImageMetadataReader.readMetadata(new ByteArrayInputStream(bytes))
                            .getFirstDirectoryOfType(ExifIFD0Directory.class))
                    .filter(directory -> directory.containsTag(ExifIFD0Directory.TAG_ORIENTATION))
                    .map(PhotoReader::orientation)
                    .orElse(1);
        } catch (ImageProcessingException | IOException unsaid) {
            return 1;
        }
    }

    private static int orientation(ExifIFD0Directory directory) {
        try {
            return directory.getInt(ExifIFD0Directory.TAG_ORIENTATION);
        } catch (MetadataException unsaid) {
            return 1;
        }
    }

    private static BufferedImage upright(BufferedImage read, int orientation, boolean keepsGlass) {
        boolean turned = orientation >= 5 && orientation <= 8;
        double scale = Math.min(1, LONGEST_SIDE / (double) Math.max(read.getWidth(), read.getHeight()));
        int wide = Math.max(1, (int) Math.round(read.getWidth() * scale));
        int high = Math.max(1, (int) Math.round(read.getHeight() * scale));
        BufferedImage picture = new BufferedImage(
                turned ? high : wide,
                turned ? wide : high,
                keepsGlass ? BufferedImage.TYPE_INT_ARGB : BufferedImage.TYPE_INT_RGB);
        Graphics2D drawn = picture.createGraphics();
        drawn.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
        AffineTransform place = turn(orientation, wide, high);
        place.scale(wide / (double) read.getWidth(), high / (double) read.getHeight());
        drawn.drawImage(read, place, null);
        drawn.dispose();
        return picture;
    }

    /** What brings a picture upright that was taken so. */
    private static AffineTransform turn(int orientation, int wide, int high) {
        return switch (orientation) {
            case 2 -> new AffineTransform(-1, 0, 0, 1, wide, 0);
            case 3 -> new AffineTransform(-1, 0, 0, -1, wide, high);
            case 4 -> new AffineTransform(1, 0, 0, -1, 0, high);
            case 5 -> new AffineTransform(0, 1, 1, 0, 0, 0);
            case 6 -> new AffineTransform(0, 1, -1, 0, high, 0);
            case 7 -> new AffineTransform(0, -1, -1, 0, high, wide);
            case 8 -> new AffineTransform(0, -1, 1, 0, 0, wide);
            default -> new AffineTransform();
        };
    }

    private static byte[] png(BufferedImage picture) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(picture, "png", out);
        return out.toByteArray();
    }

    private static byte[] jpeg(BufferedImage picture) throws IOException {
        ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ImageOutputStream stream = ImageIO.createImageOutputStream(out)) {
            ImageWriteParam param = writer.getDefaultWriteParam();
            param.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
            param.setCompressionQuality(QUALITY);
            writer.setOutput(stream);
            writer.write(null, new IIOImage(picture, null, null), param);
        } finally {
            writer.dispose();
        }
        return out.toByteArray();
    }
}
