<div class="reply quiet" part="reply"><p class="who">{{ $words->say('card.replied') }}</p><p dir="auto">{!! nl2br(e($part->text), false) !!}</p></div>
