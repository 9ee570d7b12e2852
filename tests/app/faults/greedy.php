<?php

// A reader that takes all there is.
for ($taken = []; ;) {
    $taken[] = str_repeat('x', 1_000_000);
}
