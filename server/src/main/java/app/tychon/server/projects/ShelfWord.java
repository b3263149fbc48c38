package app.tychon.server.projects;

import app.tychon.server.project.Shelf;
import java.util.Locale;
import org.springframework.core.convert.converter.Converter;
import org.springframework.stereotype.Component;

/** A shelf in an address, by the word that bodies have for it. */
@Component
class ShelfWord implements Converter<String, Shelf> {
    @Override
    public Shelf convert(String word) {
        return Shelf.valueOf(word.toUpperCase(Locale.ROOT));
    }
}
