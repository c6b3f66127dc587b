package umbel.app.photo;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.Iterator;
import java.util.Locale;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.stream.IntStream;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import net.coobird.thumbnailator.Thumbnails;
import net.coobird.thumbnailator.filters.ImageFilter;
import net.coobird.thumbnailator.util.exif.ExifFilterUtils;
import net.coobird.thumbnailator.util.exif.ExifUtils;
import net.coobird.thumbnailator.util.exif.Orientation;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import umbel.app.UmbelSettings;
import umbel.app.http.Refused;
import umbel.text.Statement;
import umbel.text.Value;

/**
 * The pictures in the data folder. Every one is drawn anew, upright and scaled down, so that nothing of where it was taken, and
 * with what, is kept with it. Its name is the SHA-256 of its content.
 */
@Component
public class PhotoFiles {

    /** The folder in the data folder. */
    public static final String FOLDER = "photos";

    /** What a file of a picture is called, without its folder. */
    public static final String FILE = "[0-9a-f]{64}\\.jpg";

    private static final Set<String> FORMATS = Set.of("jpeg", "png");
    private static final int LONGEST_SIDE = 1600;
    private static final int MOST_MEGAPIXELS = 50;
    private static final double QUALITY = 0.82;

    private final Path folder;

    PhotoFiles(UmbelSettings settings) {
        folder = settings.data().resolve(FOLDER);
    }

    /**
     * A picture as it is kept.
     *
     * @param file name of its file, without the ending
     * @param width pixels
     * @param height pixels
     */
    record Picture(String file, int width, int height) {}

    /**
     * Keeps a picture.
     *
     * @param sent a JPEG or PNG file
     * @throws Refused where it cannot be read as a picture, or has more pixels than are read
     */
    Picture keep(byte[] sent) {
        BufferedImage drawn = drawn(sent);
        try {
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            Thumbnails.of(drawn)
                    .scale(1)
                    .outputFormat("jpg")
                    .outputQuality(QUALITY)
                    .toOutputStream(out);
            byte[] kept = out.toByteArray();
            String name = sha256(kept);
            write(name, kept);
            return new Picture(name, drawn.getWidth(), drawn.getHeight());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * The pixels of a picture within the largest circle about its middle, packed red, green and blue.
     *
     * @param sent a JPEG or PNG file
     * @throws Refused where it cannot be read as a picture, or has more pixels than are read
     */
    public static int[] middle(byte[] sent) {
        BufferedImage picture = drawn(sent);
        int across = Math.min(picture.getWidth(), picture.getHeight());
        int left = (picture.getWidth() - across) / 2;
        int top = (picture.getHeight() - across) / 2;
        double radius = across / 2.0;
        return IntStream.range(0, across * across)
                .filter(i -> Math.hypot(i % across + 0.5 - radius, i / across + 0.5 - radius) <= radius)
                .map(i -> picture.getRGB(left + i % across, top + i / across))
                .toArray();
    }

    /** Keeps a picture that was kept elsewhere under the same name; tells whether it is what its name says. */
    public boolean take(String file, byte[] kept) throws IOException {
        boolean jpeg = kept.length > 2 && (kept[0] & 0xff) == 0xff && (kept[1] & 0xff) == 0xd8;
        String name = sha256(kept);
        if (!jpeg || !file.equals(name + ".jpg")) {
            return false;
        }
        write(name, kept);
        return true;
    }

    /** Where a picture lies. */
    public Path path(String file) {
        return folder.resolve(file + ".jpg");
    }

    /** Whether a picture is there. */
    boolean has(String file) {
        return Files.isRegularFile(path(file));
    }

    /**
     * Removes a picture that nobody needs any more. It is laid aside first, and put back where somebody, on whichever node, came to need it
     * meanwhile; who keeps one later finds it gone and writes it again.
     *
     * @param needed whether somebody needs it; asked once it is aside
     */
    void remove(String file, BooleanSupplier needed) throws IOException {
        Path aside = folder.resolve(file + ".removed");
        try {
            Files.move(path(file), aside, StandardCopyOption.ATOMIC_MOVE);
        } catch (NoSuchFileException e) {
            return;
        }
        if (needed.getAsBoolean()) {
            Files.move(aside, path(file), StandardCopyOption.REPLACE_EXISTING);
        } else {
            Files.deleteIfExists(aside);
        }
    }

    /** The picture upright, on white, and no larger than it is kept. Broken files make readers fail in many ways. */
    private static BufferedImage drawn(byte[] sent) {
        try {
            BufferedImage upright = upright(sent);
            int longest = Math.max(upright.getWidth(), upright.getHeight());
            return Thumbnails.of(upright)
                    .scale(Math.min(1, (double) LONGEST_SIDE / longest))
                    .imageType(BufferedImage.TYPE_INT_RGB)
                    .asBufferedImage();
        } catch (Refused e) {
            throw e;
        } catch (IOException | RuntimeException e) {
            throw unreadable();
        }
    }

    /** The picture turned as it was taken, read no finer than it need be. */
    private static BufferedImage upright(byte[] sent) throws IOException {
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(sent))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            if (!readers.hasNext()) {
                throw unreadable();
            }
            ImageReader reader = readers.next();
            try {
                if (!FORMATS.contains(reader.getFormatName().toLowerCase(Locale.ROOT))) {
                    throw unreadable();
                }
                reader.setInput(in);
                long width = reader.getWidth(0);
                long height = reader.getHeight(0);
                if (width * height > MOST_MEGAPIXELS * 1_000_000L) {
                    throw new Refused(
                            HttpStatus.CONTENT_TOO_LARGE,
                            Statement.of("problem.photo-pixels").with("most", Value.count(MOST_MEGAPIXELS)));
                }
                int step = (int) Math.max(1, Math.max(width, height) / (2 * LONGEST_SIDE));
                ImageReadParam coarse = reader.getDefaultReadParam();
                coarse.setSourceSubsampling(step, step, 0, 0);
                return turned(onWhite(reader.read(0, coarse)), orientation(reader));
            } finally {
                reader.dispose();
            }
        }
    }

    /** How the camera was held; null where the picture does not say. */
    private static Orientation orientation(ImageReader reader) {
        try {
            return ExifUtils.getExifOrientation(reader, 0);
        } catch (IOException | RuntimeException e) {
            return null; // what is said about a picture may be broken, or of another format, where the picture is whole
        }
    }

    private static BufferedImage turned(BufferedImage image, Orientation orientation) {
        if (orientation == null) {
            return image;
        }
        ImageFilter turn = ExifFilterUtils.getFilterForOrientation(orientation);
        return turn.apply(image);
    }

    private static BufferedImage onWhite(BufferedImage image) {
        if (!image.getColorModel().hasAlpha()) {
            return image;
        }
        BufferedImage white = new BufferedImage(image.getWidth(), image.getHeight(), BufferedImage.TYPE_INT_RGB);
        Graphics2D brush = white.createGraphics();
        brush.setColor(Color.WHITE);
        brush.fillRect(0, 0, image.getWidth(), image.getHeight());
        brush.drawImage(image, 0, 0, null);
        brush.dispose();
        return white;
    }

    /** Whole or not at all: written aside first. */
    private void write(String name, byte[] kept) throws IOException {
        Files.createDirectories(folder);
        Path aside = Files.createTempFile(folder, "coming-", ".tmp");
        try {
            Files.write(aside, kept);
            Files.move(aside, path(name), StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
        } finally {
            Files.deleteIfExists(aside);
        }
    }

    private static Refused unreadable() {
        return new Refused(HttpStatus.UNPROCESSABLE_CONTENT, Statement.of("problem.photo-unreadable"));
    }

    private static String sha256(byte[] bytes) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
