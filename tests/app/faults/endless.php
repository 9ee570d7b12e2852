<?php

// A reader that never ends.
for (; ;) {
    usleep(1000);
}
