<?php

// What cannot be told to the log, on a full disk, must not be the end of what was being done.
return ['channels' => ['stack' => ['driver' => 'stack', 'channels' => ['single'], 'ignore_exceptions' => true]]];
