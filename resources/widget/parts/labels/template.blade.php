<p class="labels quiet" part="labels">@foreach ($part->labels as $label)<span dir="auto">{{ $label }}</span>@if (! $loop->last){{ $words->say('list.comma') }}@endif @endforeach</p>
