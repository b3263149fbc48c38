package app.tychon.server.briefs;

import app.tychon.brief.paper.Page;
import app.tychon.brief.paper.PageDocx;
import app.tychon.brief.paper.PagePdf;
import app.tychon.brief.paper.PageWeb;
import app.tychon.server.briefs.BriefPages.Whole;
import app.tychon.server.briefs.IssueView.ReadingLinkView;
import app.tychon.server.database.Keys;
import app.tychon.server.edits.Editor;
import app.tychon.server.problems.NotFoundException;
import app.tychon.server.project.ProjectRepository;
import app.tychon.server.runs.RunHolder;
import app.tychon.server.storage.ProjectStorage;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Briefs that were issued: kept as they were read, with the run that they rest on, and read by links that can be withdrawn. What
 * is kept was made in full before, so that nothing half is ever issued.
 */
@Service
class Issues implements RunHolder {
    private final BriefPages pages;
    private final IssueRecords records;
    private final ProjectRepository projects;
    private final ProjectStorage storage;
    private final TransactionTemplate transaction;
    private final ObjectMapper json;

    Issues(
            BriefPages pages,
            IssueRecords records,
            ProjectRepository projects,
            ProjectStorage storage,
            TransactionTemplate transaction,
            ObjectMapper json) {
        this.pages = pages;
        this.records = records;
        this.projects = projects;
        this.storage = storage;
        this.transaction = transaction;
        this.json = json;
    }

    /** Issues a brief as it is now. */
    IssueView issue(Editor editor, String brief) {
        storage.checkRoom(editor.project());
        Whole whole = pages.whole(editor.project(), brief);
        Page page = whole.page();
        byte[] shown;
        try {
            shown = json.writeValueAsBytes(whole.view());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        byte[] html = PageWeb.of(page).getBytes(StandardCharsets.UTF_8);
        byte[] pdf = PagePdf.of(page);
        byte[] docx = PageDocx.of(page);
        return transaction.execute(status -> {
            projects.findForEditing(editor.project())
                    .orElseThrow(() -> new NotFoundException("There is no such project."));
            IssueEntity issue = new IssueEntity(
                    editor.project(),
                    brief,
                    records.nextNumber(editor.project()),
                    page.title(),
                    whole.run(),
                    editor.person(),
                    (long) shown.length + html.length + pdf.length + docx.length);
            records.insert(issue, new IssueDataEntity(issue.id(), shown, html, pdf, docx));
            return view(issue);
        });
    }

    private IssueView view(IssueEntity issue) {
        return new IssueView(
                issue.id(),
                issue.number(),
                issue.brief(),
                issue.title(),
                issue.runNumber(),
                issue.issuedAt().toInstant(ZoneOffset.UTC),
                records.links(issue.id()).stream()
                        .filter(link -> link.withdrawnAt() == null)
                        .map(link ->
                                new ReadingLinkView(link.id(), link.madeAt().toInstant(ZoneOffset.UTC), null))
                        .toList());
    }

    List<IssueView> list(UUID project) {
        return records.ofProject(project).stream().map(this::view).toList();
    }

    /** An issued brief as the application shows it. */
    BriefView opened(UUID project, UUID issue) {
        try {
            return json.readValue(data(project, issue).page(), BriefView.class);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    IssueEntity find(UUID project, UUID issue) {
        return records.find(project, issue);
    }

    IssueDataEntity data(UUID project, UUID issue) {
        return records.data(records.find(project, issue).id());
    }

    /** A new link by which it is read. Its address is told this once: only a digest of it is kept. */
    ReadingLinkView link(UUID project, UUID issue) {
        String key = Keys.fresh();
        ReadingLinkEntity link = new ReadingLinkEntity(issue, Keys.digest(key));
        transaction.executeWithoutResult(status -> {
            records.find(project, issue);
            records.insert(link);
        });
        return new ReadingLinkView(
                link.id(), link.madeAt().toInstant(ZoneOffset.UTC), ReadingController.PATH + "/" + key);
    }

    /** From now on nobody reads it by this link. */
    void withdraw(UUID project, UUID issue, UUID link) {
        boolean done = Boolean.TRUE.equals(transaction.execute(status -> {
            records.find(project, issue);
            return records.withdraw(issue, link, LocalDateTime.now(ZoneOffset.UTC));
        }));
        if (!done) {
            throw new NotFoundException("There is no such link; it may have been withdrawn already.");
        }
    }

    /** What is read by a link; nothing where there is none, or no longer. */
    Optional<IssueDataEntity> read(String key) {
        return records.link(Keys.digest(key)).map(link -> records.data(link.issueId()));
    }

    @Override
    public Optional<String> holds(UUID run) {
        return records.restingOn(run)
                .map(issue -> "Brief " + issue.number() + ", “" + issue.title()
                        + "”, was issued with the numbers of this run and rests on it, so it stays.");
    }
}
