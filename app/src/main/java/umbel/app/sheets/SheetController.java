package umbel.app.sheets;

import jakarta.validation.constraints.Pattern;
import java.util.List;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import umbel.app.farm.FarmAddress;
import umbel.app.farm.Farms;
import umbel.app.http.Refused;
import umbel.app.orchard.Block;
import umbel.app.orchard.BlockRepository;
import umbel.app.orchard.TreeRepository;
import umbel.app.settings.PublicAddress;
import umbel.text.Catalogue;
import umbel.text.Statement;

/** The work as it is taken to the row: on paper, on a phone, and the tags that lead to it. */
@RestController
@RequestMapping("/api")
class SheetController {

    private final SheetService sheets;
    private final SheetPdf pdf;
    private final PublicAddress address;
    private final TreeRepository trees;
    private final BlockRepository blocks;
    private final Farms farms;

    SheetController(
            SheetService sheets,
            SheetPdf pdf,
            PublicAddress address,
            TreeRepository trees,
            BlockRepository blocks,
            Farms farms) {
        this.address = address;
        this.sheets = sheets;
        this.pdf = pdf;
        this.trees = trees;
        this.blocks = blocks;
        this.farms = farms;
    }

    /** Every row with marked work, in walking order. */
    @GetMapping("/field")
    List<SheetAnswers.FieldRow> rows() {
        return sheets.rows();
    }

    /** A tree's work for the phone. */
    @GetMapping("/field/trees/{id}")
    FieldSheet sheet(@PathVariable long id) {
        return sheets.of(id);
    }

    /** The work of a block or of one row of it, in walking order, for the phone. */
    @GetMapping("/field/blocks/{id}")
    List<FieldSheet> sheets(@PathVariable long id, @RequestParam(required = false) Integer row) {
        block(id);
        return sheets.ofBlock(id, row);
    }

    /** A tree's sheet as PDF. */
    @GetMapping(value = "/trees/{id}/sheet.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> pdf(
            @PathVariable long id,
            @RequestParam(defaultValue = "en") @Pattern(regexp = Catalogue.ANY_LANGUAGE) String lang) {
        FieldSheet sheet = sheets.of(id);
        return file(sheet.label() + ".pdf", pdf.sheets(List.of(sheet), lang, sheet.label()));
    }

    /** The sheets of a block or a row as PDF, a page a tree. */
    @GetMapping(value = "/blocks/{id}/sheets.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> pdf(
            @PathVariable long id,
            @RequestParam(required = false) Integer row,
            @RequestParam(defaultValue = "en") @Pattern(regexp = Catalogue.ANY_LANGUAGE) String lang) {
        String name = block(id).name() + (row == null ? "" : " " + row);
        return file(name + ".pdf", pdf.sheets(sheets.ofBlock(id, row), lang, name));
    }

    /** Labels for a block's trees, each with the code that opens its sheet. */
    @GetMapping(value = "/blocks/{id}/labels.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    @Transactional(readOnly = true)
    public ResponseEntity<byte[]> labels(@PathVariable long id) {
        Block block = block(id);
        String here = address.get()
                .orElseThrow(() -> new Refused(HttpStatus.CONFLICT, Statement.of("problem.address-missing")));
        // labels last: where there are several farms, each tells its own
        String farm = farms.count() > 1 ? FarmAddress.prefix(farms.current().code()) : "";
        List<SheetPdf.Label> labels = trees.findByBlockIdOrderByRowNoAscPlaceNoAsc(id).stream()
                .map(tree -> new SheetPdf.Label(
                        tree.rowNo() + "-" + tree.placeNo(),
                        block.name(),
                        TagCode.svg(here + farm + "/t/" + tree.id(), 110)))
                .toList();
        return file(block.name() + " labels.pdf", pdf.labels(labels));
    }

    private Block block(long id) {
        return blocks.existing(id);
    }

    private static ResponseEntity<byte[]> file(String name, byte[] content) {
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.inline().filename(name).build().toString())
                .body(content);
    }
}
