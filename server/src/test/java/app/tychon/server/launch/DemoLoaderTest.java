package app.tychon.server.launch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.tychon.server.programmes.ProgrammeFiles;
import app.tychon.server.projects.ProjectService;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class DemoLoaderTest {
    private static final Path EXAMPLES = Path.of("..", "examples");
    private final ProjectService projects = mock(ProjectService.class);
    private final ProgrammeFiles programmes = mock(ProgrammeFiles.class);
    private final UUID id = UUID.randomUUID();

    @Test
    void bringsTheDemoInWhereThereIsNone() throws IOException {
        when(projects.findByCode("kestrel-ridge")).thenReturn(Optional.empty());
        when(projects.bringInDemo(any())).thenReturn(id);
        assertThat(new DemoLoader(projects, programmes, EXAMPLES).load()).isEqualTo(id);
        verify(projects).bringIn(any());
        verify(programmes).bringIn(any());
    }

    @Test
    void leavesADemoThatWasWorkedOnAsItIs() throws IOException {
        when(projects.findByCode("kestrel-ridge")).thenReturn(Optional.of(id));
        assertThat(new DemoLoader(projects, programmes, EXAMPLES).load()).isEqualTo(id);
        verify(projects, never()).bringInDemo(any());
    }

    @Test
    void saysSoWhenTheFileIsMissing(@TempDir Path empty) {
        when(projects.findByCode("kestrel-ridge")).thenReturn(Optional.empty());
        assertThatThrownBy(() -> new DemoLoader(projects, programmes, empty).load())
                .isInstanceOf(CannotStart.class)
                .hasMessageContaining("demo plan cannot be read");
    }
}
