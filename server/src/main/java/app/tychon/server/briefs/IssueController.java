package app.tychon.server.briefs;

import app.tychon.server.briefs.IssueView.ReadingLinkView;
import app.tychon.server.edits.Editor;
import app.tychon.server.rights.MayEdit;
import app.tychon.server.rights.MayRead;
import java.io.IOException;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Briefs that were issued, and the links by which they are read. */
@RestController
@MayRead
@RequestMapping("/api/projects/{id}")
class IssueController {
    private final Issues issues;

    IssueController(Issues issues) {
        this.issues = issues;
    }

    /** Issues a brief: as it is read now it stays. */
    @MayEdit
    @PostMapping("/briefs/{brief}/issue")
    @ResponseStatus(HttpStatus.CREATED)
    IssueView issueBrief(Editor editor, @PathVariable String brief) {
        return issues.issue(editor, brief);
    }

    /** All that were issued, the latest first. */
    @GetMapping("/issues")
    List<IssueView> issues(@PathVariable UUID id) {
        return issues.list(id);
    }

    /** An issued brief as it was read. */
    @GetMapping("/issues/{issue}")
    BriefView issue(@PathVariable UUID id, @PathVariable UUID issue) {
        return issues.opened(id, issue);
    }

    @GetMapping("/issues/{issue}/file.pdf")
    ResponseEntity<byte[]> issuePdf(@PathVariable UUID id, @PathVariable UUID issue) throws IOException {
        return BriefController.file(issues.data(id, issue).pdf(), BriefController.PDF, name(id, issue) + ".pdf");
    }

    @GetMapping("/issues/{issue}/file.docx")
    ResponseEntity<byte[]> issueDocx(@PathVariable UUID id, @PathVariable UUID issue) throws IOException {
        return BriefController.file(issues.data(id, issue).docx(), BriefController.DOCX, name(id, issue) + ".docx");
    }

    private String name(UUID id, UUID issue) {
        IssueEntity one = issues.find(id, issue);
        return one.title() + ", issue " + one.number();
    }

    /** A link by which it is read by whoever has it; its address is told this once. */
    @MayEdit
    @PostMapping("/issues/{issue}/links")
    @ResponseStatus(HttpStatus.CREATED)
    ReadingLinkView linkIssue(@PathVariable UUID id, @PathVariable UUID issue) {
        return issues.link(id, issue);
    }

    /** Withdraws a link: from now on nobody reads by it. */
    @MayEdit
    @DeleteMapping("/issues/{issue}/links/{link}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void withdrawLink(@PathVariable UUID id, @PathVariable UUID issue, @PathVariable UUID link) {
        issues.withdraw(id, issue, link);
    }
}
