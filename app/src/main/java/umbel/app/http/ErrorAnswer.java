package umbel.app.http;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.RequestMapping;
import umbel.text.Statement;

/** Answers what the server itself refused before any controller saw it. */
@Controller
class ErrorAnswer implements ErrorController {

    /** Tells the status there is; asked for directly, there is nothing at this address. */
    @RequestMapping("/error")
    void tell(HttpServletRequest request, HttpServletResponse response) throws IOException {
        Object code = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
        HttpStatus status = code instanceof Integer number ? HttpStatus.resolve(number) : HttpStatus.NOT_FOUND;
        HttpStatus told = status == null ? HttpStatus.INTERNAL_SERVER_ERROR : status;
        Problems.write(
                response,
                told.value(),
                request.getAttribute(BodyLimit.TOLD) instanceof Statement what
                        ? what
                        : Statement.of(told == HttpStatus.NOT_FOUND ? "problem.no-address" : "problem.not-answered"));
    }
}
