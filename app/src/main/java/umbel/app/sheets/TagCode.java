package umbel.app.sheets;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import java.util.Map;

/** The square code on a tree's label, as SVG: it holds the address of the tree's sheet. */
final class TagCode {

    private TagCode() {}

    /** The code for an address, so many pixels wide. */
    static String svg(String address, int size) {
        try {
            BitMatrix bits = new QRCodeWriter()
                    .encode(
                            address,
                            BarcodeFormat.QR_CODE,
                            0,
                            0,
                            Map.of(EncodeHintType.MARGIN, 1, EncodeHintType.ERROR_CORRECTION, ErrorCorrectionLevel.M));
            StringBuilder path = new StringBuilder();
            for (int y = 0; y < bits.getHeight(); y++) {
                for (int x = 0; x < bits.getWidth(); x++) {
                    if (bits.get(x, y)) {
                        path.append('M').append(x).append(' ').append(y).append("h1v1h-1z");
                    }
                }
            }
            return "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 " + bits.getWidth() + ' '
                    + bits.getHeight() + "\" width=\"" + size + "\" height=\"" + size + "\"><path d=\"" + path
                    + "\" fill=\"#000\"/></svg>";
        } catch (WriterException e) {
            throw new IllegalArgumentException("This address does not fit a tag: " + address, e);
        }
    }
}
