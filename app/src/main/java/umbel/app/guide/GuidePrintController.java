package umbel.app.guide;

import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import umbel.app.computing.Computing;
import umbel.app.computing.Computing.Lane;

/** The guide on paper: as a booklet, and as a card for the pocket of each kind. */
@RestController
@RequestMapping("/api/guide")
class GuidePrintController {

    private final GuidePrint print;
    private final Computing computing;

    GuidePrintController(GuidePrint print, Computing computing) {
        this.print = print;
        this.computing = computing;
    }

    /** The whole guide, in the reader's language and units. */
    @GetMapping(value = "/booklet.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> guideBooklet() {
        return pdf("guide.pdf", computing.answer(Lane.PLANS, print::booklet));
    }

    /** A card of one kind of tree, bush, cane or vine, the size of a pocket. */
    @GetMapping(value = "/cards/{kind}", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> pocketCard(@PathVariable String kind) {
        return pdf("card-" + kind + ".pdf", computing.answer(Lane.PLANS, () -> print.card(kind)));
    }

    private static ResponseEntity<byte[]> pdf(String name, byte[] pages) {
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.inline().filename(name).build().toString())
                .body(pages);
    }
}
