package umbel.app.exchange;

import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.locks.Lock;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.json.JsonMapper;
import umbel.app.orchard.BlockRepository;
import umbel.app.plan.DecidedTrees;
import umbel.app.survey.SurveyDocument;
import umbel.app.survey.SurveyEntry;
import umbel.app.survey.SurveyLine;
import umbel.app.survey.SurveyRepository;
import umbel.app.survey.TreeReadings;
import umbel.counted.CountCsv;
import umbel.counted.CountReader;
import umbel.drawing.TreeGltf;
import umbel.drawing.TreeSvg;
import umbel.plant.SurveyedTree;
import umbel.survey.SurveyCsv;
import umbel.survey.SurveyReader;
import umbel.wood.Units;

/** Trees as files of open formats, and tables of surveys in. */
@RestController
@RequestMapping("/api")
class TreeFilesController {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final MediaType CSV = new MediaType("text", "csv", StandardCharsets.UTF_8);
    private static final MediaType SVG = new MediaType("image", "svg+xml", StandardCharsets.UTF_8);
    private static final MediaType GLTF = new MediaType("model", "gltf+json");

    private final DecidedTrees surveyed;
    private final BlockRepository blocks;
    private final SurveyRepository surveys;
    private final TreeReadings readings;
    private final SurveyImport imports;
    private final Lock turn = new ReentrantLock(true);

    TreeFilesController(
            DecidedTrees surveyed,
            BlockRepository blocks,
            SurveyRepository surveys,
            TreeReadings readings,
            SurveyImport imports) {
        this.readings = readings;
        this.surveyed = surveyed;
        this.blocks = blocks;
        this.surveys = surveys;
        this.imports = imports;
    }

    /** The newest survey of a tree as a table. */
    @Hidden
    @GetMapping("/trees/{id}/survey.csv")
    ResponseEntity<String> table(@PathVariable long id) {
        SurveyEntry newest = surveyed.survey(id);
        String name = fileName(newest.tree().label(), "csv");
        return file(
                CSV,
                name,
                newest.isCounted()
                        ? CountCsv.write(List.of(readings.counted(newest).survey()))
                        : SurveyCsv.write(List.of(SurveyReader.read(newest.document()))));
    }

    /** The plant drawn level from one side. */
    @Hidden
    @GetMapping("/trees/{id}/drawing.svg")
    ResponseEntity<String> drawing(@PathVariable long id, @RequestParam(defaultValue = "180") double from) {
        SurveyEntry newest = surveyed.survey(id);
        if (newest.isCounted()) {
            return file(
                    SVG,
                    fileName(newest.tree().label(), "svg"),
                    readings.counted(newest).sheet(List.of(), Units.fromDegrees(from)));
        }
        SurveyedTree read = surveyed.newestReading(id);
        return file(SVG, name(read, "svg"), TreeSvg.draw(read.tree(), Units.fromDegrees(from)));
    }

    /** The tree in three dimensions. */
    @Hidden
    @GetMapping("/trees/{id}/tree.gltf")
    ResponseEntity<String> solid(@PathVariable long id) {
        SurveyedTree read = surveyed.newestReading(id);
        return file(GLTF, name(read, "gltf"), TreeGltf.write(read.tree()));
    }

    /** The newest surveys of a block's plants as one table: of its counted plants where there are any, else of its trees. */
    @Hidden
    @GetMapping("/blocks/{id}/surveys.csv")
    void tables(@PathVariable long id, HttpServletResponse response) throws IOException {
        blocks.existing(id);
        List<SurveyLine> newest = surveys.tellNewestOfBlock(id);
        boolean counted = newest.stream().anyMatch(SurveyLine::counted);
        Stream<String> documents = surveys.documents(newest.stream()
                        .filter(line -> line.counted() == counted)
                        .map(SurveyLine::id)
                        .toList())
                .map(SurveyDocument::document);
        response.setContentType(CSV.toString());
        response.setHeader(HttpHeaders.CONTENT_DISPOSITION, attached("surveys.csv"));
        Writer out = response.getWriter();
        if (counted) {
            CountCsv.write(documents.map(document -> CountReader.read(JSON.readTree(document))), out);
        } else {
            SurveyCsv.write(documents.map(SurveyReader::saved), out);
        }
    }

    /** What a table of surveys would write into a block; writes nothing. */
    @PostMapping(value = "/blocks/{id}/surveys/preview", consumes = "text/csv")
    SurveyImport.Outcome preview(
            @PathVariable long id, @RequestBody String table, @RequestParam(required = false) List<String> column) {
        return inTurn(() -> imports.preview(id, table, columns(column)));
    }

    /** Writes a table of surveys into a block, all or nothing; what is there already is passed over. */
    @PostMapping(value = "/blocks/{id}/surveys", consumes = "text/csv")
    SurveyImport.Outcome write(
            @PathVariable long id, @RequestBody String table, @RequestParam(required = false) List<String> column) {
        return inTurn(() -> imports.write(id, table, columns(column)));
    }

    /** One table at a time: a large one takes a good part of the memory. */
    private SurveyImport.Outcome inTurn(Supplier<SurveyImport.Outcome> work) {
        turn.lock();
        try {
            return work.get();
        } finally {
            turn.unlock();
        }
    }

    /** An empty table with the heading of every column, for trees or for counted plants. */
    @Hidden
    @GetMapping("/surveys/template.csv")
    ResponseEntity<String> template(@RequestParam(defaultValue = "false") boolean counted) {
        return file(
                CSV,
                counted ? "umbel-counts.csv" : "umbel-surveys.csv",
                String.join(",", counted ? CountCsv.columns() : SurveyCsv.columns()) + "\r\n");
    }

    /** What columns hold, told as {@code theirs=ours}. */
    private static Map<String, String> columns(List<String> told) {
        Map<String, String> columns = new HashMap<>();
        for (String one : told == null ? List.<String>of() : told) {
            int sign = one.lastIndexOf('=');
            if (sign > 0) {
                columns.put(one.substring(0, sign), one.substring(sign + 1));
            }
        }
        return columns;
    }

    private static String name(SurveyedTree read, String ending) {
        return fileName(read.tree().setting().label(), ending);
    }

    private static String fileName(String label, String ending) {
        return (label.isEmpty() ? "tree" : label.replaceAll("[^A-Za-z0-9]+", "-")) + "." + ending;
    }

    private static ResponseEntity<String> file(MediaType type, String name, String content) {
        return ResponseEntity.ok()
                .contentType(type)
                .header(HttpHeaders.CONTENT_DISPOSITION, attached(name))
                .body(content);
    }

    private static String attached(String name) {
        return ContentDisposition.attachment().filename(name).build().toString();
    }
}
