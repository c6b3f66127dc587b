package umbel.app.photo;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import javax.imageio.ImageIO;

/** Made-up photographs, as phones and others send them. */
public final class Pictures {

    /** What a phone writes about itself into its pictures. */
    static final String CAMERA = "PHONE OF A PRUNER";

    /** Bytes of the marker of a JPEG's beginning and of the segment that says it is one. */
    private static final int BEGINNING = 2 + 18;

    private Pictures() {}

    /** Left half red, right half blue. */
    static BufferedImage redLeftBlueRight(int width, int height) {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D brush = image.createGraphics();
        brush.setColor(Color.RED);
        brush.fillRect(0, 0, width / 2, height);
        brush.setColor(Color.BLUE);
        brush.fillRect(width / 2, 0, width - width / 2, height);
        brush.dispose();
        return image;
    }

    /** A file of a picture. */
    public static byte[] file(BufferedImage image, String format) {
        try {
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            ImageIO.write(image, format, out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** A small JPEG. */
    public static byte[] jpeg() {
        return file(redLeftBlueRight(80, 60), "jpg");
    }

    /** A JPEG that says how the camera was held, and whose it is. */
    static byte[] jpegHeld(int orientation, BufferedImage image) {
        byte[] plain = file(image, "jpg");
        byte[] camera = (CAMERA + "\0").getBytes(StandardCharsets.US_ASCII);
        int directory = 2 + 2 * 12 + 4;
        ByteBuffer tiff = ByteBuffer.allocate(8 + directory + camera.length).order(ByteOrder.LITTLE_ENDIAN);
        tiff.put((byte) 'I').put((byte) 'I').putShort((short) 42).putInt(8);
        tiff.putShort((short) 2);
        tiff.putShort((short) 0x010F).putShort((short) 2).putInt(camera.length).putInt(8 + directory);
        tiff.putShort((short) 0x0112).putShort((short) 3).putInt(1).putInt(orientation);
        tiff.putInt(0).put(camera);
        byte[] exif = "Exif\0\0".getBytes(StandardCharsets.US_ASCII);
        ByteBuffer all = ByteBuffer.allocate(plain.length + 4 + exif.length + tiff.capacity());
        all.put(plain, 0, BEGINNING);
        all.putShort((short) 0xFFE1).putShort((short) (2 + exif.length + tiff.capacity()));
        all.put(exif).put(tiff.array());
        all.put(plain, BEGINNING, plain.length - BEGINNING);
        return all.array();
    }

    /** A PNG of a few bytes that claims to be as large as said. */
    static byte[] claiming(int width, int height) {
        byte[] png = file(redLeftBlueRight(4, 4), "png");
        ByteBuffer.wrap(png).putInt(16, width).putInt(20, height);
        return png;
    }
}
