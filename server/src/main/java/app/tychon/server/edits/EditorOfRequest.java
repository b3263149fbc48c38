package app.tychon.server.edits;

import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestHeader;

/** Who edits, out of the headers of a request. */
@ControllerAdvice(assignableTypes = {EditController.class, SpreadController.class})
class EditorOfRequest {
    @ModelAttribute
    Editor editor(
            @PathVariable UUID id,
            @RequestHeader(name = Editor.PERSON, required = false) String person,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) String ifMatch) {
        return Editor.of(id, person, ifMatch);
    }
}
