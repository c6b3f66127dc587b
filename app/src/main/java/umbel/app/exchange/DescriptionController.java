package umbel.app.exchange;

import io.swagger.v3.oas.annotations.Hidden;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** The description of the API that ships with the program; a test holds it against what the program really answers. */
@Hidden
@RestController
class DescriptionController {

    @GetMapping(path = "/api/openapi", produces = MediaType.APPLICATION_JSON_VALUE)
    Resource description() {
        return new ClassPathResource("openapi.json");
    }
}
