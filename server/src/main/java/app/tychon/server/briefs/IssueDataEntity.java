package app.tychon.server.briefs;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;

/** What was issued, in every form in which it is read. */
@Entity
@Table(name = "brief_issue_data")
public class IssueDataEntity {
    @Id
    private UUID issueId;

    @Column(columnDefinition = "longblob")
    private byte[] page;

    @Column(columnDefinition = "longblob")
    private byte[] html;

    @Column(columnDefinition = "longblob")
    private byte[] pdf;

    @Column(columnDefinition = "longblob")
    private byte[] docx;

    protected IssueDataEntity() {}

    IssueDataEntity(UUID issueId, byte[] page, byte[] html, byte[] pdf, byte[] docx) {
        this.issueId = issueId;
        this.page = page;
        this.html = html;
        this.pdf = pdf;
        this.docx = docx;
    }

    byte[] page() {
        return page;
    }

    byte[] html() {
        return html;
    }

    byte[] pdf() {
        return pdf;
    }

    byte[] docx() {
        return docx;
    }
}
