<p class="title" part="title" dir="auto"{!! $spokenIn !!}>{{ $part->text }}</p>
