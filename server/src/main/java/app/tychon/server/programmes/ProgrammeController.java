package app.tychon.server.programmes;

import app.tychon.server.programmes.TieWorths.TieWorth;
import app.tychon.server.project.ProjectRepository;
import app.tychon.server.project.ProjectView;
import app.tychon.server.rights.MayBegin;
import app.tychon.server.rights.MayEdit;
import app.tychon.server.rights.MayGlance;
import app.tychon.server.rights.MayRead;
import app.tychon.server.web.Download;
import com.fasterxml.jackson.databind.JsonNode;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Programmes: what they consist of. What comes of it is read as of any project. */
@RestController
@RequestMapping("/api")
class ProgrammeController {
    private final Programmes programmes;
    private final ProgrammeFiles files;
    private final ProgrammeViews views;
    private final TieWorths worths;
    private final ProjectRepository projects;

    ProgrammeController(
            Programmes programmes,
            ProgrammeFiles files,
            ProgrammeViews views,
            TieWorths worths,
            ProjectRepository projects) {
        this.programmes = programmes;
        this.files = files;
        this.views = views;
        this.worths = worths;
        this.projects = projects;
    }

    @MayBegin
    @PostMapping("/programmes")
    @ResponseStatus(HttpStatus.CREATED)
    ProjectView beginProgramme(@RequestBody @Valid ProgrammeWords words) {
        return projects.view(programmes.begin(words));
    }

    /** The body is a programme file; its projects are those of this server that have the codes that it names. */
    @MayBegin
    @PostMapping(path = "/programmes/file", consumes = MediaType.APPLICATION_JSON_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    ProjectView bringInProgramme(HttpServletRequest request) throws IOException {
        return projects.view(files.bringIn(request.getInputStream()));
    }

    @MayGlance
    @GetMapping("/projects/{id}/programme")
    ProgrammeView getProgramme(@PathVariable UUID id) {
        return views.of(id);
    }

    @MayRead
    @GetMapping(path = "/projects/{id}/programme/file", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<byte[]> takeOutProgramme(@PathVariable UUID id) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        views.file(id).write(out);
        return Download.of(
                out, MediaType.APPLICATION_JSON_VALUE, projects.view(id).name() + ".programme.json");
    }

    @MayEdit
    @PostMapping("/projects/{id}/programme/projects")
    ProgrammeView takeIn(@PathVariable UUID id, @RequestBody @Valid PartWords words) {
        programmes.add(id, words);
        return views.of(id);
    }

    @MayEdit
    @DeleteMapping("/projects/{id}/programme/projects/{member}")
    ProgrammeView takeOut(@PathVariable UUID id, @PathVariable UUID member) {
        programmes.remove(id, member);
        return views.of(id);
    }

    /** What a project lets those see who may not read it; its owner says. */
    @MayGlance
    @PutMapping("/projects/{id}/programme/projects/{member}/shown")
    ProgrammeView letOut(@PathVariable UUID id, @PathVariable UUID member, @RequestParam Shown what) {
        programmes.show(id, member, what);
        return views.of(id);
    }

    /** The body is a tie in the words of the programme file; one of the same id is replaced. */
    @MayEdit
    @PutMapping("/projects/{id}/programme/ties")
    ProgrammeView tie(@PathVariable UUID id, @RequestBody JsonNode tie) {
        programmes.tie(id, tie);
        return views.of(id);
    }

    @MayEdit
    @DeleteMapping("/projects/{id}/programme/ties/{tie}")
    ProgrammeView untie(@PathVariable UUID id, @PathVariable String tie) {
        programmes.untie(id, tie);
        return views.of(id);
    }

    @MayRead
    @GetMapping("/projects/{id}/programme/ties/worth")
    List<TieWorth> listTieWorths(@PathVariable UUID id) {
        return worths.of(id);
    }
}
