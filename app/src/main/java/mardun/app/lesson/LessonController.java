package mardun.app.lesson;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import java.util.UUID;
import mardun.app.lesson.LessonViews.LessonView;
import mardun.app.lesson.LessonViews.TakeForm;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/notes/{id}/lesson")
@Tag(name = "notes")
class LessonController {

    private final LessonService lessons;

    LessonController(LessonService lessons) {
        this.lessons = lessons;
    }

    /** What a note touches in its design. */
    @GetMapping
    LessonView readLesson(@PathVariable UUID id) {
        return lessons.of(id);
    }

    /** A note becomes a change of its design. */
    @PostMapping
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void takeLesson(@PathVariable UUID id, @RequestBody @Valid TakeForm form) {
        lessons.take(id, form);
    }
}
