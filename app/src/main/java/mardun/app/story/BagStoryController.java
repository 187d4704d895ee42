package mardun.app.story;

import io.swagger.v3.oas.annotations.tags.Tag;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

@RestController
@Tag(name = "goods")
class BagStoryController {

    private final BagStories stories;

    BagStoryController(BagStories stories) {
        this.stories = stories;
    }

    /** All that is known of bags that were done together. */
    @GetMapping("/api/finished-goods/{id}")
    BagStory readBagStory(@PathVariable long id) {
        return stories.of(id);
    }
}
