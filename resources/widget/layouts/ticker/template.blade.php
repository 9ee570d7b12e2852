@include('widget::flow', ['track' => null])
