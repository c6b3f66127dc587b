package umbel.app.sheets;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import umbel.app.RunningUmbel;

@ExtendWith(RunningUmbel.class)
class SheetApiTest {

    private static final long TREE = 22;

    private final RunningUmbel umbel;

    SheetApiTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    /** Marks a limb to go and shoots on another, and gives the tree's block. */
    private JsonNode marked() {
        JsonNode page = umbel.get("/api/trees/" + TREE).json();
        String limb = page.at("/limbs/0/id").asString();
        String body = "{\"decisions\":{\"marks\":[{\"operation\":\"remove\",\"limb\":\"" + limb + "\"}]},\"version\":"
                + page.path("workVersion").asLong() + "}";
        assertThat(umbel.send("PUT", "/api/trees/" + TREE + "/work", body, "application/json")
                        .status())
                .isEqualTo(200);
        return page;
    }

    private static String text(byte[] pdf) throws Exception {
        try (PDDocument document = Loader.loadPDF(pdf)) {
            return new PDFTextStripper().getText(document);
        }
    }

    @Test
    void theSheetCarriesItsStepsInBothLanguages() {
        marked();
        JsonNode sheet = umbel.get("/api/field/trees/" + TREE).json();
        assertThat(sheet.at("/steps/0/title/en").asString()).startsWith("Off: limb");
        assertThat(sheet.at("/steps/0/title/es").asString()).startsWith("Quitar: rama");
        assertThat(sheet.path("south").asString()).startsWith("<svg").contains("<rect");
        assertThat(sheet.at("/cautions/es/0").asString()).isNotBlank();
    }

    @Test
    void theSamePagesComeAsPdf() throws Exception {
        marked();
        byte[] spanish = umbel.bytes("/api/trees/" + TREE + "/sheet.pdf?lang=es");
        assertThat(text(spanish))
                .contains("Garden Fence")
                .contains("Quitar: rama")
                .contains("Precauciones");
        umbel.send(
                "PUT", "/api/settings/public-address", "{\"address\":\"https://trees.example\"}", "application/json");
        long block = umbel.get("/api/trees/" + TREE).json().at("/name/blockId").asLong();
        assertThat(text(umbel.bytes("/api/blocks/" + block + "/sheets.pdf"))).contains("Off: limb");
        assertThat(umbel.get("/api/trees/" + TREE + "/sheet.pdf?lang=xx").status())
                .isEqualTo(400);
    }

    @Test
    void aTagOpensItsTree() throws Exception {
        String svg = TagCode.svg("http://127.0.0.1:8080/t/22", 100);
        Matcher width = Pattern.compile("viewBox=\"0 0 (\\d+) ").matcher(svg);
        assertThat(width.find()).isTrue();
        int cells = Integer.parseInt(width.group(1));
        int scale = 6;
        int size = cells * scale;
        int[] pixels = new int[size * size];
        java.util.Arrays.fill(pixels, 0xffffff);
        Matcher cell = Pattern.compile("M(\\d+) (\\d+)h1").matcher(svg);
        while (cell.find()) {
            int x = Integer.parseInt(cell.group(1)) * scale;
            int y = Integer.parseInt(cell.group(2)) * scale;
            for (int i = 0; i < scale * scale; i++) {
                pixels[(y + i / scale) * size + x + i % scale] = 0;
            }
        }
        assertThat(new QRCodeReader()
                        .decode(new BinaryBitmap(new HybridBinarizer(new RGBLuminanceSource(size, size, pixels))))
                        .getText())
                .isEqualTo("http://127.0.0.1:8080/t/22");
    }

    @Test
    void everyTreeOfABlockHasItsLabel() throws Exception {
        umbel.send(
                "PUT", "/api/settings/public-address", "{\"address\":\"https://trees.example\"}", "application/json");
        long block = umbel.get("/api/trees/" + TREE).json().at("/name/blockId").asLong();
        assertThat(text(umbel.bytes("/api/blocks/" + block + "/labels.pdf"))).contains("1-2", "1-4", "Garden Fence");
    }
}
